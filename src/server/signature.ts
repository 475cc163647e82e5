import { AsyncLocalStorage } from 'node:async_hooks';

const signatures = new AsyncLocalStorage<string>();

/** Does what somebody asked for: what is written down meanwhile without a name carries theirs. */
export const signedBy = <Result>(name: string | undefined, work: () => Result): Result =>
  name === undefined ? work() : signatures.run(name, work);

/** Whose request is being answered; undefined in a house where nobody signs in, and for what the program does of itself. */
export const signature = (): string | undefined => signatures.getStore();
