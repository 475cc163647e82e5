import {
  answersAbout,
  answersAboutFeeder,
  answersAboutStillness,
  answersAboutTrouble,
  KEEPER_QUESTIONS,
  type KeeperAnswer,
  type KeeperQuestion,
} from './answers';
import type { AnimalCase } from './cases';
import type { Knowledge, KnowledgePart } from './knowledge';
import { withNumber, type KnownNumber } from './numbers';

/** A number of which nobody said how far it may be off is moved by this share of itself, up and down. Chosen here */
const MOVED_BY = 0.2;
/** Temperatures by so much, since their zero is nothing to a share of. K, chosen here */
const MOVED_BY_K = 2;
/** An answer that comes out so many times as large, or small, counts as wholly another. Chosen here */
const WHOLLY_OTHER_TIMES = 1.5;
/** Numbers nearer to nothing than this are none: a day more than none is not endless times as much. Chosen here */
const ABOUT_NOTHING = 1;

/** Of whom something is asked. */
interface Subject {
  name: string;
  /** The parts of the knowledge, or the single rows, on which its answers rest: `profiles/mantis`. */
  restsOn: (part: KnowledgePart, row: string) => KeeperQuestion[];
  answers: (knowledge: Knowledge, asked: ReadonlySet<KeeperQuestion>) => KeeperAnswer[];
}

/** One answer that a number moves. */
export interface MovedAnswer {
  who: string;
  question: KeeperQuestion;
  about: string;
  isNow: number | string | null;
  /** With the number lower, and higher. */
  ifLower: number | string | null;
  ifHigher: number | string | null;
  /** How much another it is: 0 not at all, 1 wholly; the mean of both ways. */
  moved: number;
}

/** What hangs on a number. */
export interface Sensitivity {
  /** Answers that it moves, each by as much as it is moved: one verdict that turns both ways counts 1. */
  weight: number;
  lower: number;
  higher: number;
  /** Of those whose answers rest on it so many were asked; the weight is told for all. */
  asked: { animals: number; of: number };
  /** Of each question its share of the weight; those that it does not move are left out. */
  byQuestion: Partial<Record<KeeperQuestion, number>>;
  /** Most moved first. */
  answers: MovedAnswer[];
}

/** Between which values a number is moved: its range where one is told, else about itself. */
export function movedBetween({ id, value, spread }: Pick<KnownNumber, 'id' | 'value' | 'spread'>): [number, number] {
  if (spread?.by === 'range' && spread.min !== undefined && spread.max !== undefined) return [spread.min, spread.max];
  if (/C\/(min|max|value)$/.test(id)) return [value - MOVED_BY_K, value + MOVED_BY_K];
  const [low, high] = [value * (1 - MOVED_BY), value * (1 + MOVED_BY)].sort((a, b) => a - b) as [number, number];
  // A share of a whole is no more than the whole.
  if (value > 0 && value <= 1 && /given|otherwise|Share|wetness/i.test(id)) return [low, Math.min(1, high)];
  if (/pct/i.test(id)) return [low, Math.min(100, high)];
  return [low, high];
}

/** Knowledge with everything that is asked of it: asked once as it is, then with one number moved after the other. */
export class Weighing {
  private readonly subjects: Subject[];
  /** By who is asked, and what. */
  private readonly asItIs = new Map<string, KeeperAnswer[]>();

  constructor(
    private readonly knowledge: Knowledge,
    cases: readonly AnimalCase[],
  ) {
    this.subjects = [...cases.map(ofAnimal), ...ofTheRest(knowledge)];
  }

  /** How many answers there are in all. */
  get answersInAll(): number {
    return this.subjects.reduce((sum, subject) => sum + this.now(subject, new Set(KEEPER_QUESTIONS)).length, 0);
  }

  /**
   * What hangs on a number.
   * @param most so many are asked, evenly chosen among those whose answers rest on it; all if left out
   * @throws Refusal at `number` for one that there is not
   */
  of(number: KnownNumber, most = Infinity): Sensitivity {
    const [lower, higher] = movedBetween(number);
    const [part, row = ''] = number.id.split('/') as [KnowledgePart, string?];
    const [below, above] = [lower, higher].map((value) => withNumber(this.knowledge, number.id, value));
    const touched = this.subjects.filter((subject) => subject.restsOn(part, row).length > 0);
    const every = Math.max(1, Math.ceil(touched.length / most));
    const chosen = touched.filter((_, index) => index % every === 0);
    const times = chosen.length > 0 ? touched.length / chosen.length : 0;
    const answers = chosen.flatMap((subject): MovedAnswer[] => {
      const asked = new Set(subject.restsOn(part, row));
      if (!below || !above) return [];
      const now = this.now(subject, asked);
      return paired(now, subject.answers(below, asked), subject.answers(above, asked)).flatMap(([is, low, high]) => {
        const moved = (apartBy(is.value, low) + apartBy(is.value, high)) / 2;
        if (moved === 0) return [];
        const { question, about, value } = is;
        return [{ who: subject.name, question, about, isNow: value, ifLower: low, ifHigher: high, moved }];
      });
    });
    const byQuestion: Partial<Record<KeeperQuestion, number>> = {};
    for (const { question, moved } of answers) byQuestion[question] = (byQuestion[question] ?? 0) + times * moved;
    const weight = times * answers.reduce((sum, { moved }) => sum + moved, 0);
    const asked = { animals: chosen.length, of: touched.length };
    return { weight, lower, higher, asked, byQuestion, answers: answers.sort((a, b) => b.moved - a.moved) };
  }

  private now(subject: Subject, asked: ReadonlySet<KeeperQuestion>): KeeperAnswer[] {
    const key = `${subject.name}: ${[...asked].join()}`;
    const answers = this.asItIs.get(key) ?? subject.answers(this.knowledge, asked);
    this.asItIs.set(key, answers);
    return answers;
  }
}

/** The same answers of three worlds; one that is not given in another is none there. */
function paired(
  now: readonly KeeperAnswer[],
  low: readonly KeeperAnswer[],
  high: readonly KeeperAnswer[],
): [KeeperAnswer, KeeperAnswer['value'], KeeperAnswer['value']][] {
  const keyOf = ({ question, about }: KeeperAnswer) => `${question}/${about}`;
  const valuesOf = (answers: readonly KeeperAnswer[]) => new Map(answers.map((each) => [keyOf(each), each.value]));
  const [lows, highs] = [valuesOf(low), valuesOf(high)];
  return now.map((each) => [each, lows.get(keyOf(each)) ?? null, highs.get(keyOf(each)) ?? null]);
}

/** How much another an answer is: 0 the same, 1 wholly another. */
export function apartBy(one: KeeperAnswer['value'], other: KeeperAnswer['value']): number {
  if (one === other) return 0;
  if (typeof one !== 'number' || typeof other !== 'number') return 1;
  if (Math.sign(one) * Math.sign(other) < 0) return 1;
  const ratio = (Math.abs(other) + ABOUT_NOTHING) / (Math.abs(one) + ABOUT_NOTHING);
  return Math.min(1, Math.abs(Math.log(ratio)) / Math.log(WHOLLY_OTHER_TIMES));
}

/** What is asked of the kinds as a whole, not of one animal and its profile. */
const OF_THE_KIND: ReadonlySet<KeeperQuestion> = new Set(['numbers', 'trouble', 'stillness'] as const);
const OF_AN_ANIMAL = KEEPER_QUESTIONS.filter((question) => !OF_THE_KIND.has(question));
/** Which answers about an animal rest on each part of the knowledge; its own profile and species move all. */
const ON_PART: Partial<Record<KnowledgePart, readonly KeeperQuestion[]>> = {
  materials: ['filling', 'air'],
  mixes: ['filling', 'air'],
  boxSizes: ['box-to-buy'],
  feeders: ['meal'],
  foods: ['meal'],
  populations: ['numbers'],
  rests: ['rest'],
  eggs: ['brood'],
  moths: ['brood'],
};

function ofAnimal(one: AnimalCase, index: number): Subject {
  const { profile, scientificName, stage } = one;
  return {
    name: `${index + 1}: ${scientificName ?? profile}, ${stage}`,
    restsOn: (part, row) => {
      if (part === 'profiles') return row === profile ? [...OF_AN_ANIMAL] : [];
      if (part === 'species') return row === scientificName ? [...OF_AN_ANIMAL] : [];
      // Rows of these go by the kinds that they hold for.
      if (part === 'populations' || part === 'rests' || part === 'eggs' || part === 'moths')
        return row.split('+').includes(profile) ? [...(ON_PART[part] ?? [])] : [];
      return [...(ON_PART[part] ?? [])];
    },
    answers: (knowledge, asked) => answersAbout(one, knowledge, asked),
  };
}

function ofTheRest(knowledge: Knowledge): Subject[] {
  const { feeders, troubles, stillness } = knowledge;
  return [
    ...feeders.map(({ id }, at): Subject => ({
      name: id,
      restsOn: (part, row) => (part === 'feeders' && row === id ? ['numbers'] : []),
      answers: (known) => known.feeders.slice(at, at + 1).flatMap(answersAboutFeeder),
    })),
    ...troubles.map(({ silhouettes }, at): Subject => ({
      name: `trouble of ${silhouettes.join('+')}`,
      restsOn: (part, row) =>
        part === 'causes' || part === 'boxSigns' || (part === 'troubles' && row === silhouettes.join('+'))
          ? ['trouble']
          : [],
      answers: (known) => answersAboutTrouble(known, at),
    })),
    ...stillness.map(({ silhouettes }, at): Subject => ({
      name: `stillness of ${silhouettes.join('+')}`,
      restsOn: (part, row) => (part === 'stillness' && row === silhouettes.join('+') ? ['stillness'] : []),
      answers: (known) => known.stillness.slice(at, at + 1).flatMap(answersAboutStillness),
    })),
  ];
}
