import { AsyncLocalStorage } from 'node:async_hooks';

/** Of a request that is being answered, what those need to know who are far from it. */
export interface Asked {
  /** Whose name stands under what is written; undefined in a house where nobody signs in. */
  signature: string | undefined;
  /** One page at a time: the session, else the address it came from. */
  by: string;
  /** Told when nobody waits for the answer any more. */
  signal: AbortSignal;
}

const asked = new AsyncLocalStorage<Asked>();

/** Does what somebody asked for. */
export const askedFor = <Result>(of: Asked, work: () => Result): Result => asked.run(of, work);

/** Whose name stands under what is written for that request; null where nobody signs in. */
export const signatureHere = (): string | null => asking()?.signature ?? null;

/** The request that is being answered; undefined for what the program does of itself. */
export const asking = (): Asked | undefined => asked.getStore();
