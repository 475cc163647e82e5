import type { CareProfile, Form, Stage } from '@/core/profiles/profile';
import { moultsNoMore } from './moulting';

/** What changes in the life of an animal, a group or a colony, and is written down when it does. */
export type LifeEvent = 'hatching' | 'moult' | 'pupation' | 'emergence' | 'count';

/**
 * What may happen next in the life of whoever is kept in such a form, the most frequent first; none of those that are grown.
 * The orders of insects that rest as pupae moult as larvae before (Gullan and Cranston, The Insects; from memory).
 */
export function lifeEvents(profile: CareProfile, stage: Stage, form: Form): LifeEvent[] {
  if (form === 'eggs') return ['hatching'];
  if (form === 'colony') return ['count'];
  const counted: LifeEvent[] = form === 'group' ? ['count'] : [];
  if (stage === 'pupa') return ['emergence', ...counted];
  const turning: LifeEvent[] = stage === 'larva' && profile.stages.includes('pupa') ? ['pupation'] : [];
  return moultsNoMore(profile, stage) ? [...counted, ...turning] : ['moult', ...turning, ...counted];
}
