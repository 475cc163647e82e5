import type { LifeEvent } from '@/core/growth/lifeEvents';
import type { Form } from '@/core/profiles/profile';

export type LifeEntry = 'hatched' | 'moulted' | 'instars' | 'pupated' | 'emerged' | 'counted';
/** The form in which each is written down, by how somebody is kept. */
export const lifeEntry = (event: LifeEvent, form: Form): LifeEntry =>
  event === 'moult' && form !== 'single' ? 'instars' : ENTRIES[event];
const ENTRIES: Record<LifeEvent, LifeEntry> = {
  hatching: 'hatched',
  moult: 'moulted',
  pupation: 'pupated',
  emergence: 'emerged',
  count: 'counted',
};

/** What it is called: of one, and of many that are kept together. */
const TITLES: Record<LifeEvent, { one: string; many: string }> = {
  hatching: { one: 'It hatched', many: 'They hatched' },
  moult: { one: 'It moulted', many: 'Some moulted' },
  pupation: { one: 'It pupated', many: 'They pupated' },
  emergence: { one: 'It came out', many: 'They came out' },
  count: { one: 'Counted', many: 'Counted' },
};
export const lifeTitle = (event: LifeEvent, form: Form): string => TITLES[event][form === 'single' ? 'one' : 'many'];
