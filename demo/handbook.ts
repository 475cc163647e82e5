import type { EmergencyCard, OwnCard } from '@/contract/handbook';
import type { EntryToKeep } from '@/contract/storedEntries';
import { addDays, type Day } from '@/core/measure/day';
import type { CaseKind } from '@/core/training/cases';
import { KEEPERS } from './homes';
import type { DemoResident } from './residents';
import { idOf, writerOf } from './writing';

/** Numbers that nobody has: of the range kept free for stories. */
export const EMERGENCY: EmergencyCard = {
  contacts: [
    { who: 'Emergency services', number: '01632 960 112' },
    { who: 'Poison centre', number: '01632 960 240' },
    { who: 'Veterinarian', number: '01632 960 318' },
    { who: KEEPERS[0], number: '01632 960 000' },
  ],
  address: 'The Ropewalk Warm House, 3 Ropewalk, Saltmere. Gate on the harbour side.',
};

export const OWN_CARDS: OwnCard[] = [
  {
    name: "Cubaris sp. 'harbour wall'",
    commonName: 'Harbour wall isopod',
    profile: 'isopod-dwarf-tropical',
    notes: {
      home: 'Found under the ropewalk’s own wall; nobody has named it. Kept apart from every other line.',
      air: 'One small hole is enough. They went when there were four.',
    },
    synonyms: [],
    grownMm: null,
    keeper: KEEPERS[1],
  },
];

const answered = (keeper: string, kind: CaseKind, right: number, asked: number) =>
  Array.from({ length: asked }, (_, index) => ({
    ...{ id: idOf(`case ${keeper} ${kind} ${index}`), keeper, kind, isRight: index < right },
  }));
/** A helper who has begun. */
export const TRAINING = [
  ...answered(KEEPERS[2], 'still', 3, 4),
  ...answered(KEEPERS[2], 'water', 4, 4),
  ...answered(KEEPERS[2], 'fit', 2, 4),
];

/** Papers that end, and what was tried when something was wrong. */
export function handbookStory(resident: DemoResident & { id: string }, today: Day): EntryToKeep[] {
  const write = writerOf(resident, today, KEEPERS[0]);
  switch (resident.called) {
    case 'Marquise':
      return [
        write('paper', 640, 40, { paper: 'CITES paper', number: 'SM 24/0117', expiresOn: addDays(today, 24) }),
        write('paper', 640, 41, { paper: 'Proof of origin', number: 'bred in Saltmere' }),
      ];
    case 'Bramble': {
      const trouble = write('trouble', 96, 20, {
        ...{ seen: ['refuses', 'dark-or-bald'], notSeen: ['curled', 'thin'] },
        ...{ cause: 'premoult', tried: 'Prey out, damp end kept damp, left alone' },
      });
      return [trouble, write('trouble-after', 92, 21, { troubleId: trouble.id, helped: 'helped' })];
    }
    case 'Old Tarry':
      return [
        write('trouble', 9, 20, {
          ...{ seen: ['up-the-walls'], notSeen: ['drops'] },
          ...{ cause: 'stale', tried: 'Two rows of holes on the right side' },
        }),
      ];
    default:
      return [];
  }
}
