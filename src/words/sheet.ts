import type { SitterSheet } from '@/contract/plan';
import type { JobKind } from '@/core/plan/jobs';
import { cautionsWords } from './food';
import { JOB_WORDS } from './jobKinds';

/** Why a box stays shut. */
export const NEVER_OPEN_WORDS: Record<SitterSheet['neverOpen'][number]['why'], string> = {
  dangerous: 'it bites, stings or spits',
  premoult: 'it has sealed itself in, or is about to moult',
  hardening: 'its new skin hardens',
  resting: 'it is in its winter rest',
  founding: 'she is sealed in with her first brood',
};

type Stop = SitterSheet['visits'][number]['stops'][number];

/** One thing to do at a box, with what to give and how much. */
export function sitterTask(kind: JobKind, { dishes, waterMl, cautions }: Stop): string {
  const { noun, task = noun } = JOB_WORDS[kind];
  const mind = kind === 'feed' && cautions.length > 0 ? `. Mind: ${cautionsWords(cautions)}` : '';
  if (kind === 'feed' && dishes.length > 0) return `${task}: ${dishes.map(dishWords).join('; ')}${mind}`;
  return kind === 'damp' && waterMl !== null ? `${task}: ${waterMl} mL` : task;
}

function dishWords({ name, count, massG, drinkMl }: Stop['dishes'][number]): string {
  if (count !== null) return `${count} × ${name}`;
  if (drinkMl !== null) return `${name}, ${drinkMl} mL`;
  return massG === null ? name : `${name}, ${massG < 1 ? massG.toFixed(1) : Math.round(massG)} g`;
}
