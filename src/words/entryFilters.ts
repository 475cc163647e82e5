import type { Entry } from '@/contract/storedEntries';

/** What history can be narrowed to. */
export const ENTRY_FILTERS = [
  { value: 'all', title: 'All', kinds: [] },
  {
    value: 'growth',
    title: 'Growth',
    kinds: [
      'taken-in',
      'moulted',
      'measured',
      'sexed',
      'sign',
      'hatched',
      'clutch',
      'laid',
      'surplus',
      'brood-seen',
      'paired',
    ],
  },
  { value: 'food', title: 'Food', kinds: ['offered', 'eaten', 'refused', 'searched', 'calcium'] },
  { value: 'water', title: 'Water', kinds: ['watered', 'damped', 'misted', 'felt', 'soil-set', 'turned', 'refreshed'] },
  {
    value: 'moves',
    title: 'Moves',
    kinds: [
      'taken-in',
      'moved',
      'move-planned',
      'move-dropped',
      'labelled',
      'hatched',
      'died',
      'passed-on',
      'parted',
      'joined',
      'joined-into',
    ],
  },
  { value: 'rest', title: 'Rest', kinds: ['rest-planned', 'rest-step', 'rest-ended'] },
  {
    value: 'notes',
    title: 'Notes',
    kinds: [
      'noted',
      'photo',
      'trouble',
      'trouble-after',
      'kept-so',
      'paper',
      'looked',
      'barrier',
      'rubbish',
      'cleaned',
      'battery',
      'skipped',
    ],
  },
  { value: 'back', title: 'Taken back', kinds: [] },
] as const satisfies readonly { value: string; title: string; kinds: readonly Entry['kind'][] }[];
export type EntryFilter = (typeof ENTRY_FILTERS)[number]['value'];
