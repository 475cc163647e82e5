import type { Entry } from '@/contract/entries';
import type { Dish } from '@/core/feeding/food';
import { feelOf } from '@/core/substrate/wetness';
import type { LeavingCause, SexEvidence } from '@/core/profiles/profile';
import { countedWords, stageWords } from './colony';
import { restStepWords } from './rest';
import { dishWords, type Names } from './food';
import { FEEL_WORDS } from './home';
import type { Day } from '@/core/measure/day';
import type { SkipReason } from '@/core/plan/work';
import type { TroubleEnd } from '@/core/trouble/table';
import { dayWords } from './days';
import { SKIP_WORDS } from './doing';
import { signWords, waterWords } from './jobs';
import { capital } from './text';
import type { LengthWords } from './useLength';

const lengthOf = (entry: Entry, name: string) => {
  const value = entry.data[name];
  return typeof value === 'number' ? value : undefined;
};

/** What was measured and counted: ", span 118 mm", ", 12 of them". */
function sizeOf(entry: Entry, length: LengthWords): string {
  const words = [
    ...MEASURES.flatMap(({ name, word }) => {
      const mm = lengthOf(entry, name);
      return mm === undefined ? [] : [`${word} ${length.long(mm)}`];
    }),
    ...(typeof entry.data.massG === 'number' ? [`${entry.data.massG} g`] : []),
    ...(typeof entry.data.condition === 'string' ? [entry.data.condition] : []),
    ...(typeof entry.data.headCount === 'number' ? [`${entry.data.headCount} of them`] : []),
  ];
  return words.map((word) => `, ${word}`).join('');
}

const MEASURES = [
  { name: 'legSpanMm', word: 'span' },
  { name: 'bodyLengthMm', word: 'length' },
  { name: 'carapaceWidthMm', word: 'carapace' },
];

export const EVIDENCE_WORDS: Record<SexEvidence, string> = {
  'shed-skin': 'its shed skin',
  colour: 'colour',
  size: 'size',
  wings: 'wings',
  pedipalps: 'pedipalps',
  abdomen: 'abdomen',
  spurs: 'spurs',
  behaviour: 'behaviour',
};

export const CAUSE_WORDS: Record<LeavingCause, string> = {
  moult: 'in a moult',
  age: 'of age',
  dry: 'dried out',
  wet: 'too wet',
  eaten: 'eaten',
  fall: 'of a fall',
  unknown: 'nobody knows why',
};

/** "2 " of a group where some left, nothing where all did. */
function headsWords({ data }: Entry): string {
  if (typeof data.count !== 'number') return 'It ';
  if (data.count === 1 && data.everybody === 1) return 'It ';
  return data.everybody === 1 ? `All ${data.count} ` : `${data.count} `;
}

const instarOf = ({ data }: Entry) => (typeof data.instar === 'number' ? `, instar ${data.instar}` : '');

/** "3 in instar 2, 12 in instar 3". */
export function instarsWords(instars: unknown): string {
  return Object.entries((instars ?? {}) as Record<string, number>)
    .map(([instar, count]) => `${count} in instar ${instar}`)
    .join(', ');
}

function offeredWords(entry: Entry, length: LengthWords, names: Names): string {
  const { dishes, preyCount, inQuiet, alsoBy } = entry.data;
  const prey = lengthOf(entry, 'preyLengthMm');
  const what = Array.isArray(dishes)
    ? (dishes as Dish[]).map((dish) => dishWords(names, dish)).join(', ')
    : `${typeof preyCount === 'number' ? preyCount : 'prey'}${prey === undefined ? '' : ` of ${length.long(prey)}`}`;
  const quiet = inQuiet === undefined ? '' : ', while it was to be left alone';
  return `Offered ${what}${quiet}${typeof alsoBy === 'string' ? `; ${alsoBy} logged it too` : ''}`;
}

export const TROUBLE_END_WORDS: Record<TroubleEnd, string> = {
  helped: 'it helped',
  'no-change': 'it changed nothing',
  worse: 'it got worse',
  died: 'it died',
};

export const MATING_WORDS: Record<string, string> = {
  mated: 'mother mated',
  unmated: 'mother not mated',
  unknown: 'nobody knows whether mated',
};

function clutchWords({ eggs, frozen }: Entry['data']): string {
  if (typeof eggs !== 'number' || eggs === 0) return 'Soil searched, no eggs';
  return `${eggs} eggs found${typeof frozen === 'number' && frozen > 0 ? `, ${frozen} frozen` : ''}`;
}

/** One line of history, as it is read on a day. */
export function entryWords(entry: Entry, length: LengthWords, names: Names, today: Day): string {
  const size = sizeOf(entry, length);
  const dayOf = (name: string) => dayWords(String(entry.data[name]), today);
  switch (entry.kind) {
    case 'taken-in':
      return `Taken in as ${entry.data.stage}${size}`;
    case 'offered':
      return offeredWords(entry, length, names);
    case 'searched':
      return 'Old leaves searched and thrown away';
    case 'calcium':
      return 'Lime looked at';
    case 'clutch':
      return clutchWords(entry.data);
    case 'cleaned':
      return 'Droppings and remains taken out';
    case 'turned':
      return 'Soil turned';
    case 'refreshed':
      return 'Half of the soil refreshed';
    case 'battery':
      return 'Battery of the probe changed';
    case 'labelled':
      return 'Label put right';
    case 'skipped':
      return `Put off to ${dayOf('until')}: ${SKIP_WORDS[entry.data.why as SkipReason].toLowerCase()}`;
    case 'move-planned':
      return `Move planned for ${dayOf('moveOn')}`;
    case 'paper':
      return `Papers: ${String(entry.data.paper)}${entry.data.number === undefined ? '' : ` ${String(entry.data.number)}`}${entry.data.expiresOn === undefined ? '' : `, until ${dayOf('expiresOn')}`}`;
    case 'trouble':
      return `Something was wrong${entry.data.tried === undefined ? '' : `; tried: ${String(entry.data.tried)}`}`;
    case 'trouble-after':
      return `What was tried: ${TROUBLE_END_WORDS[entry.data.helped as TroubleEnd]}`;
    case 'move-dropped':
      return 'Planned move given up';
    case 'barrier':
      return 'Barrier renewed';
    case 'rubbish':
      return 'Rubbish taken out';
    case 'laid':
      return `Laid ${dayOf('laidFrom')}${entry.data.laidTo === undefined ? '' : ` to ${dayOf('laidTo')}`}, ${MATING_WORDS[String(entry.data.mating)]}`;
    case 'surplus':
      return `Of the young: ${entry.data.keep} to keep, ${entry.data.passOn} to pass on, ${entry.data.feedOff} to feed off`;
    case 'brood-seen':
      return `First ${stageWords(String(entry.data.stage))} seen`;
    case 'paired':
      return 'Paired for the night';
    case 'rest-planned':
      return 'Winter rest planned';
    case 'rest-step':
      return `Winter rest: ${restStepWords(String(entry.data.step))}`;
    case 'rest-ended':
      return 'Winter rest given up';
    case 'eaten':
      return 'Eaten';
    case 'refused':
      return 'Not taken; taken out';
    case 'watered':
      return 'Dish filled';
    case 'damped':
      return `Soil damped${typeof entry.data.waterMl === 'number' ? `, ${waterWords(entry.data.waterMl)}` : ''}`;
    case 'misted':
      return 'Misted';
    case 'felt':
      return `Soil felt: ${FEEL_WORDS[feelOf(Number(entry.data.wetness))]}`;
    case 'looked':
      return 'Looked at';
    case 'sign':
      return `Noticed: ${signWords(String(entry.data.sign))}`;
    case 'moulted':
      if (typeof entry.data.count === 'number') return `${entry.data.count} are in instar ${entry.data.instar}`;
      return `Moulted${instarOf(entry)}${size}`;
    case 'measured':
      if (entry.data.stages !== undefined)
        return `Counted: ${countedWords(entry.data.stages as Record<string, number>)}`;
      return `${entry.data.instars === undefined ? 'Measured' : `Counted: ${instarsWords(entry.data.instars)}`}${instarOf(entry)}${size}`;
    case 'sexed':
      return `${capital(String(entry.data.sex))}, by ${EVIDENCE_WORDS[entry.data.by as SexEvidence]}`;
    case 'noted':
      return entry.note ?? '';
    case 'photo':
      return entry.note ?? 'Photo';
    case 'hatched':
      return `${entry.data.headCount} hatched`;
    case 'died':
      return `${headsWords(entry)}died${entry.data.cause === undefined ? '' : `, ${CAUSE_WORDS[entry.data.cause as LeavingCause]}`}`;
    case 'passed-on':
      return `${headsWords(entry)}passed on${entry.data.to === undefined ? '' : ` to ${String(entry.data.to)}`}`;
    case 'parted':
      return `${entry.data.count} taken out, kept on their own`;
    case 'joined':
      return `${entry.data.count} joined them`;
    case 'joined-into':
      return 'Joined another group';
    case 'moved':
      return 'Moved';
    case 'soil-set':
      return `Soil set to ${length.long(lengthOf(entry, 'substrateDepthMm') ?? 0)}`;
  }
}
