/**
 * Every test runs on one day, whatever the machine says: `new Date()` and `Date.now()` begin at `VB_TEST_NOW` (an instant in
 * UTC) and go on from there.
 */
const start = Date.parse(process.env.VB_TEST_NOW ?? '2026-03-14T18:00:00Z');
const RealDate = Date;
const since = RealDate.now();
const now = () => start + RealDate.now() - since;

globalThis.Date = new Proxy(RealDate, {
  construct: (target, parts, asked) =>
    Reflect.construct(target, parts.length === 0 ? [now()] : parts, asked === Date ? target : asked) as Date,
  apply: () => new RealDate(now()).toString(),
  get: (target, name, receiver) => (name === 'now' ? now : Reflect.get(target, name, receiver)),
});
