import type { NewEntry } from '@/contract/entries';
import type { headEntriesOf } from '../storage/entries';
import type { findEver } from '../storage/residents';

/** An entry of one kind, as it was sent. */
export type About<Kind extends NewEntry['kind']> = Extract<NewEntry, { kind: Kind }>;

/** Looks somebody up, here or gone. */
export type Find = (residentId: string) => ReturnType<typeof findEver>;

/** What was written of somebody's sizes, moults and heads, oldest first. */
export type Heads = (residentId: string) => ReturnType<typeof headEntriesOf>;
