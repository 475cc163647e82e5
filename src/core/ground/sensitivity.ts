import {
  answersAbout,
  answersAboutFeeder,
  answersAboutKind,
  answersAboutStillness,
  answersAboutTrouble,
  ASKED_OF_AN_ANIMAL,
  KEEPER_QUESTIONS,
  type KeeperAnswer,
  type KeeperQuestion,
} from './answers';
import type { OfKind } from '@/core/profiles/holdsFor';
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
  /** Its answers that rest on a row of a part of the knowledge: `profiles`, `mantis`. */
  restsOn: (part: KnowledgePart, row: string) => readonly KeeperQuestion[];
  answers: (knowledge: Knowledge, asked: readonly KeeperQuestion[]) => KeeperAnswer[];
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
  /** By who is asked, and then what. */
  private readonly asItIs = new Map<Subject, Map<readonly KeeperQuestion[], KeeperAnswer[]>>();

  constructor(
    private readonly knowledge: Knowledge,
    cases: readonly AnimalCase[],
  ) {
    this.subjects = [
      ...cases.map((one) => ofAnimal(one, knowledge)),
      ...kindsOf(cases, knowledge).map(ofKind),
      ...ofTheRest(knowledge),
    ];
  }

  /** How many answers there are in all. */
  get answersInAll(): number {
    return this.subjects.reduce((sum, subject) => sum + this.now(subject, KEEPER_QUESTIONS).length, 0);
  }

  /**
   * What hangs on a number.
   * @param most so many are asked, evenly chosen among those whose answers rest on it; all if left out
   * @throws Refusal at `number` for one that there is not
   */
  of(number: KnownNumber, most = Infinity): Sensitivity {
    const [lower, higher] = movedBetween(number);
    const [part, row = ''] = number.id.split('/') as [KnowledgePart, string?];
    const below = withNumber(this.knowledge, number.id, lower);
    const above = withNumber(this.knowledge, number.id, higher);
    const touched = this.subjects.filter((subject) => subject.restsOn(part, row).length > 0);
    const every = Math.max(1, Math.ceil(touched.length / most));
    const chosen = touched.filter((_, index) => index % every === 0);
    const times = chosen.length > 0 ? touched.length / chosen.length : 0;
    const answers = chosen.flatMap((subject): MovedAnswer[] => {
      const asked = subject.restsOn(part, row);
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

  private now(subject: Subject, asked: readonly KeeperQuestion[]): KeeperAnswer[] {
    const known = this.asItIs.get(subject) ?? new Map<readonly KeeperQuestion[], KeeperAnswer[]>();
    this.asItIs.set(subject, known);
    const answers = known.get(asked) ?? subject.answers(this.knowledge, asked);
    known.set(asked, answers);
    return answers;
  }
}

/** The same answers of three worlds; one that is not given in another is none there. */
function paired(
  now: readonly KeeperAnswer[],
  low: readonly KeeperAnswer[],
  high: readonly KeeperAnswer[],
): [KeeperAnswer, KeeperAnswer['value'], KeeperAnswer['value']][] {
  const keyOf = ({ question, key }: KeeperAnswer) => `${question}/${key}`;
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

/** What of an animal rests on each part that all share; its own profile and species move all. */
const ON_PART: Partial<Record<KnowledgePart, readonly KeeperQuestion[]>> = {
  materials: ['filling', 'air'],
  feeders: ['meal'],
  foods: ['meal'],
};
const NOTHING: readonly KeeperQuestion[] = [];

function ofAnimal(one: AnimalCase, { profiles }: Knowledge): Subject {
  const { profile, scientificName, stage } = one;
  const called = scientificName ?? profiles.find(({ id }) => id === profile)?.name ?? profile;
  return {
    name: `${called}, ${stage}`,
    restsOn: (part, row) => {
      const isOwn = (part === 'profiles' && row === profile) || (part === 'species' && row === scientificName);
      return isOwn ? ASKED_OF_AN_ANIMAL : (ON_PART[part] ?? NOTHING);
    },
    answers: (knowledge, asked) => answersAbout(one, knowledge, asked),
  };
}

/** Which answers about a kind rest on which part; its rows go by the kinds that they hold for. */
const OF_A_KIND: Partial<Record<KnowledgePart, readonly KeeperQuestion[]>> = {
  populations: ['numbers'],
  rests: ['rest'],
  eggs: ['brood'],
  moths: ['brood'],
};

interface Kind extends OfKind {
  name: string;
}

/** Those of some animals, each once. */
function kindsOf(cases: readonly AnimalCase[], { profiles }: Knowledge): Kind[] {
  const kinds = cases.map(({ profile, scientificName }): Kind => ({
    ...{ kind: profile, scientificName },
    name: scientificName ?? profiles.find(({ id }) => id === profile)?.name ?? profile,
  }));
  return [...new Map(kinds.map((each) => [each.name, each])).values()];
}

const ofKind = (who: Kind): Subject => ({
  name: who.name,
  restsOn: (part, row) => (row.split('+').includes(who.kind) ? (OF_A_KIND[part] ?? NOTHING) : NOTHING),
  answers: (knowledge, asked) => answersAboutKind(who, knowledge, asked),
});

const NUMBERS: readonly KeeperQuestion[] = ['numbers'];
const TROUBLE: readonly KeeperQuestion[] = ['trouble'];
const STILLNESS: readonly KeeperQuestion[] = ['stillness'];

function ofTheRest({ feeders, troubles, stillness }: Knowledge): Subject[] {
  return [
    ...feeders.map(({ id, plural }, at): Subject => ({
      name: plural,
      restsOn: (part, row) => (part === 'feeders' && row === id ? NUMBERS : NOTHING),
      answers: (known) => known.feeders.slice(at, at + 1).flatMap(answersAboutFeeder),
    })),
    ...troubles.map(({ silhouettes }, at): Subject => ({
      name: silhouettes.join(', '),
      restsOn: (part, row) => {
        const isOwn = part === 'troubles' && row === silhouettes.join('+');
        return isOwn || part === 'causes' || part === 'boxSigns' ? TROUBLE : NOTHING;
      },
      answers: (known) => answersAboutTrouble(known, at),
    })),
    ...stillness.map(({ silhouettes }, at): Subject => ({
      name: silhouettes.join(', '),
      restsOn: (part, row) => (part === 'stillness' && row === silhouettes.join('+') ? STILLNESS : NOTHING),
      answers: (known) => known.stillness.slice(at, at + 1).flatMap(answersAboutStillness),
    })),
  ];
}
