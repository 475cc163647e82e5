import type { Entry, EntryData } from '@/contract/storedEntries';
import { feelOf } from '@/core/substrate/wetness';
import type { BodyMeasure, LeavingCause, SexEvidence } from '@/core/profiles/profile';
import { countedWords, stageWords } from './colony';
import { restStepWords } from './rest';
import { dishWords, type Names } from './food';
import { FEEL_WORDS } from './home';
import type { Day } from '@/core/measure/day';
import type { TroubleEnd } from '@/core/trouble/table';
import { dayWords } from './days';
import { alsoWords, SKIP_WORDS } from './doing';
import { signWords, waterWords } from './jobs';
import { capital } from './text';
import type { LengthWords } from './lengths';

type Measured = Pick<EntryData['measured'], BodyMeasure | 'massG' | 'condition' | 'headCount'>;

const LEFT_WORDS = {
  all: 'Not taken; taken out',
  some: 'Some was left; taken out',
  mouldy: 'Gone mouldy; taken out',
} as const;

/** What was measured and counted: ", span 118 mm", ", 12 of them". */
function sizeOf(data: Measured, length: LengthWords): string {
  const { massG, condition, headCount } = data;
  const words = [
    ...MEASURES.flatMap(({ name, word }) => {
      const mm = data[name];
      return mm === undefined ? [] : [`${word} ${length.long(mm)}`];
    }),
    ...(massG === undefined ? [] : [`${massG} g`]),
    ...(condition === undefined ? [] : [condition]),
    ...(headCount === undefined ? [] : [`${headCount} of them`]),
  ];
  return words.map((word) => `, ${word}`).join('');
}

/** ", garden 240 mL", ", garden 33 % of the chambers". */
const gardenOf = ({ fungusMl, fungusSharePct }: EntryData['measured']): string =>
  fungusMl !== undefined
    ? `, garden ${fungusMl} mL`
    : fungusSharePct !== undefined
      ? `, garden ${fungusSharePct} % of the chambers`
      : '';

const MEASURES = [
  { name: 'legSpanMm', word: 'span' },
  { name: 'bodyLengthMm', word: 'length' },
  { name: 'carapaceWidthMm', word: 'carapace' },
] as const;

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
function headsWords({ count, everybody }: { count?: number | undefined; everybody?: 1 | undefined }): string {
  if (count === undefined) return 'It ';
  if (count === 1 && everybody === 1) return 'It ';
  return everybody === 1 ? `All ${count} ` : `${count} `;
}

const instarOf = ({ instar }: { instar?: number | undefined }) => (instar === undefined ? '' : `, instar ${instar}`);

/** "3 in instar 2, 12 in instar 3". */
export function instarsWords(instars: unknown): string {
  return Object.entries((instars ?? {}) as Record<string, number>)
    .map(([instar, count]) => `${count} in instar ${instar}`)
    .join(', ');
}

function offeredWords(data: EntryData['offered'], length: LengthWords, names: Names): string {
  const { dishes, preyCount = 'prey', preyLengthMm, inQuiet, alsoBy } = data;
  const what = dishes
    ? dishes.map((dish) => dishWords(names, dish)).join(', ')
    : `${preyCount}${preyLengthMm === undefined ? '' : ` of ${length.long(preyLengthMm)}`}`;
  const quiet = inQuiet === undefined ? '' : ', while it was to be left alone';
  return `Offered ${what}${quiet}${alsoBy === undefined ? '' : `; ${alsoWords(alsoBy)}`}`;
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

function clutchWords({ eggs = 0, frozen = 0 }: EntryData['clutch']): string {
  if (eggs === 0) return 'Soil searched, no eggs';
  return `${eggs} eggs found${frozen > 0 ? `, ${frozen} frozen` : ''}`;
}

function papersWords({ paper, number, expiresOn }: EntryData['paper'], today: Day): string {
  const until = expiresOn === undefined ? '' : `, until ${dayWords(expiresOn, today)}`;
  return `Papers: ${paper}${number === undefined ? '' : ` ${number}`}${until}`;
}

/** One line of history, as it is read on a day. */
export function entryWords(entry: Entry, length: LengthWords, names: Names, today: Day): string {
  const dayOf = (day: Day) => dayWords(day, today);
  switch (entry.kind) {
    case 'taken-in':
      return `Taken in as ${entry.data.stage}${sizeOf(entry.data, length)}`;
    case 'offered':
      return offeredWords(entry.data, length, names);
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
      return `Put off to ${dayOf(entry.data.until)}: ${SKIP_WORDS[entry.data.why].toLowerCase()}`;
    case 'move-planned':
      return `Move planned for ${dayOf(entry.data.moveOn)}`;
    case 'paper':
      return papersWords(entry.data, today);
    case 'trouble':
      return `Something was wrong${entry.data.tried === undefined ? '' : `; tried: ${entry.data.tried}`}`;
    case 'trouble-after':
      return `What was tried: ${TROUBLE_END_WORDS[entry.data.helped]}`;
    case 'move-dropped':
      return 'Planned move given up';
    case 'barrier':
      return 'Barrier renewed';
    case 'rubbish':
      return 'Rubbish taken out';
    case 'laid':
      return `Laid ${dayOf(entry.data.laidFrom)}${entry.data.laidTo === undefined ? '' : ` to ${dayOf(entry.data.laidTo)}`}, ${MATING_WORDS[entry.data.mating]}`;
    case 'surplus':
      return `Of the young: ${entry.data.keep} to keep, ${entry.data.passOn} to pass on, ${entry.data.feedOff} to feed off`;
    case 'brood-seen':
      return `First ${stageWords(entry.data.stage)} seen`;
    case 'paired':
      return 'Paired for the night';
    case 'rest-planned':
      return 'Winter rest planned';
    case 'rest-step':
      return `Winter rest: ${restStepWords(entry.data.step)}`;
    case 'rest-ended':
      return 'Winter rest given up';
    case 'eaten':
      return 'Eaten';
    case 'refused':
      return LEFT_WORDS[entry.data.left ?? 'all'];
    case 'watered':
      return 'Dish filled';
    case 'damped':
      return `Soil damped${entry.data.waterMl === undefined ? '' : `, ${waterWords(entry.data.waterMl)}`}`;
    case 'misted':
      return 'Misted';
    case 'felt':
      return `Soil felt: ${FEEL_WORDS[feelOf(entry.data.wetness)]}`;
    case 'looked':
      return 'Looked at';
    case 'sign':
      return `Noticed: ${signWords(entry.data.sign)}`;
    case 'moulted':
      if (entry.data.count !== undefined) return `${entry.data.count} are in instar ${entry.data.instar}`;
      return `${entry.data.stage === 'pupa' ? 'Pupated' : 'Moulted'}${instarOf(entry.data)}${sizeOf(entry.data, length)}`;
    case 'measured':
      if (entry.data.waits !== undefined) return entry.data.waits ? 'Waits in its cocoon' : 'Waits no more';
      if (entry.data.stages !== undefined) return `Counted: ${countedWords(entry.data.stages)}${gardenOf(entry.data)}`;
      return `${entry.data.instars === undefined ? 'Measured' : `Counted: ${instarsWords(entry.data.instars)}`}${instarOf(entry.data)}${sizeOf(entry.data, length)}${gardenOf(entry.data)}`;
    case 'sexed':
      return `${capital(entry.data.sex)}, by ${EVIDENCE_WORDS[entry.data.by]}`;
    case 'kept-so':
      return `Kept so on purpose: ${entry.data.why}`;
    case 'noted':
      return entry.note ?? '';
    case 'photo':
      return entry.note ?? 'Photo';
    case 'hatched':
      return `${entry.data.headCount} hatched`;
    case 'died':
      return `${headsWords(entry.data)}died${entry.data.cause === undefined ? '' : `, ${CAUSE_WORDS[entry.data.cause]}`}`;
    case 'passed-on':
      return `${headsWords(entry.data)}passed on${entry.data.to === undefined ? '' : ` to ${entry.data.to}`}`;
    case 'parted':
      return `${entry.data.count} taken out, kept on their own`;
    case 'joined':
      return `${entry.data.count} joined them`;
    case 'joined-into':
      return 'Joined another group';
    case 'moved':
      return 'Moved';
    case 'soil-set':
      return `Soil set to ${length.long(entry.data.substrateDepthMm)}`;
  }
}
