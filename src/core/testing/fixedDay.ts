import { testStart } from './testStart';

/**
 * Every test runs on one day, whatever the machine says: `new Date()` and `Date.now()` begin at the same
 * instant (`VB_TEST_NOW` names another) and go on from there.
 */
const start = Date.parse(testStart());
const RealDate = Date;
const since = RealDate.now();
const now = () => start + RealDate.now() - since;

globalThis.Date = new Proxy(RealDate, {
  construct: (target, parts, asked) =>
    Reflect.construct(target, parts.length === 0 ? [now()] : parts, asked === Date ? target : asked) as Date,
  apply: () => new RealDate(now()).toString(),
  get: (target, name, receiver) => (name === 'now' ? now : Reflect.get(target, name, receiver)),
});
