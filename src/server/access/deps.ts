import type { Access } from '@/contract/access';
import type { Deps } from '../resources/deps';
import type { Door } from './door';
import type { Passkeys } from './passkeys';
import type { SetupCode } from './setupCode';
import type { Visitor } from './visitor';

/** How the house stands to somebody. */
export type StateOf = (visitor: Visitor) => Promise<Access>;

/** Where the home network finds the house, and by what it is told to be it. */
export interface NetworkFacts {
  house: string;
  trust: string;
  fingerprint: string;
}

export interface AccessDeps extends Deps {
  door: Door;
  passkeys: Passkeys;
  stateOf: StateOf;
  setupCode?: SetupCode | undefined;
  /** Where the home network finds the house; left out where it answers this machine alone. */
  network?: (() => NetworkFacts) | undefined;
}
