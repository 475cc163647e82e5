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

const TITLES: Record<Exclude<LifeEvent, 'moult' | 'hatching'>, string> = {
  pupation: 'Pupated',
  emergence: 'Came out',
  count: 'Counted',
};
/** What it is called: of one, or of many that are kept together. */
export function lifeTitle(event: LifeEvent, form: Form): string {
  if (event === 'hatching') return 'They hatched';
  if (event === 'moult') return form === 'single' ? 'It moulted' : 'Some moulted';
  return TITLES[event];
}
