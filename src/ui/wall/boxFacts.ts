import { openToday } from '@/client/openJobs';
import type { Home, Resident } from '@/contract/records';
import type { Round } from '@/contract/round';
import type { Status } from '@/core/housing/fit';
import { daysBetween } from '@/core/measure/day';
import { DARKEST_AT } from '../drawings/soilInks';
import { groundWords, HOME_WORD } from '@/words/homeState';
import { dayWords } from '@/words/days';
import { jobsWords } from '@/words/today';
import { calledWords } from '@/words/residents';
import type { TemperatureWords } from '@/words/temperature';
import { listWords } from '@/words/count';

/** What the wall is looked at for. */
export const LOOKS = ['today', 'fit', 'damp', 'moults', 'load', 'warmth'] as const;
export type Look = (typeof LOOKS)[number];

/** What is to be seen of a box on the wall. */
export interface BoxFacts {
  /** Open jobs of today: whether any of them cannot wait. */
  due: 'first' | 'today' | null;
  isLeftAlone: boolean;
  hasAlarm: boolean;
  verdict: Status | null;
  /** Under its code. */
  caption: string;
  /** The inks by which it is told from others, from little (0) to much (1); null where that look has none. */
  shade: number | null;
  /** Everything in words, for whoever listens. */
  label: string;
}

export interface Asked {
  look: Look;
  round: Round | null;
  temperature: TemperatureWords;
  /** When each resident moults next, by id; null until it is worked out. */
  moults: ReadonlyMap<string, { median: string }> | null;
  /** What its filling weighs. g */
  massG: (home: Home) => number | null;
}

/** A moult further off than this is drawn as none. days, chosen here */
const SOON_DAYS = 90;
/** Warm is drawn between these. C, chosen here */
const COOL_C = 4;
const WARM_C = 32;
/** The heaviest box is drawn darkest from here. g, chosen here */
const HEAVY_G = 10_000;

/** What the wall shows of a box, by what it is looked at for. */
export function boxFacts(
  home: Home,
  tenants: readonly Resident[],
  { look, round, temperature, moults, massG }: Asked,
): BoxFacts {
  const today = round?.on ?? '';
  const stops = (round?.stops ?? []).filter(({ homeId }) => homeId === home.id);
  const open = openToday(stops);
  const { state } = home;
  const verdict = state?.verdict ?? null;
  const isLeftAlone = stops.some(({ leaveAlone }) => leaveAlone !== null);
  const likely = tenants.flatMap(({ id }) => moults?.get(id) ?? []).sort((a, b) => a.median.localeCompare(b.median))[0];
  const heavy = massG(home);
  const dampOn = state?.water?.dueOn;
  const seen: Record<Look, { caption: string; shade: number | null }> = {
    today: { caption: open.length > 0 ? jobsWords(open.length) : '', shade: null },
    fit: { caption: verdict === null || verdict === 'pass' ? '' : HOME_WORD[verdict], shade: null },
    damp: {
      caption: dampOn ? dayWords(dampOn, today) : '',
      shade: state?.water ? Math.min(1, state.water.wetness / DARKEST_AT) : null,
    },
    moults: {
      caption: likely ? dayWords(likely.median, today) : '',
      shade: likely ? Math.max(0, 1 - daysBetween(today, likely.median) / SOON_DAYS) : null,
    },
    load: {
      caption: heavy === null || heavy === 0 ? '' : heavyWords(heavy),
      shade: heavy === null ? null : Math.min(1, heavy / HEAVY_G),
    },
    warmth: {
      caption: home.temperatureC === undefined ? '' : temperature.long(home.temperatureC),
      shade:
        home.temperatureC === undefined
          ? null
          : Math.max(0, Math.min(1, (home.temperatureC - COOL_C) / (WARM_C - COOL_C))),
    },
  };
  const worst = state?.grounds[0];
  const label = [
    home.code,
    tenants.length === 0 ? 'free' : listWords(tenants.map((each) => `${calledWords(each)}, ${each.scientificName}`)),
    ...(verdict === null ? [] : [HOME_WORD[verdict]]),
    ...(worst ? [groundWords(worst, today, temperature)] : []),
    ...(open.length > 0 ? [`${jobsWords(open.length)} today`] : []),
    ...(isLeftAlone ? ['leave alone'] : []),
    ...(look === 'today' || look === 'fit' || seen[look].caption === ''
      ? []
      : [`${LOOK_WORDS[look]} ${seen[look].caption}`]),
  ].join(', ');
  return {
    due: open.some(({ cannotWait }) => cannotWait) ? 'first' : open.length > 0 ? 'today' : null,
    ...{ isLeftAlone, verdict, label, ...seen[look] },
    hasAlarm: state?.grounds.some(({ about }) => about === 'alarm') ?? false,
  };
}

/** What a look is called, before what it shows of a box. */
export const LOOK_WORDS: Record<Look, string> = {
  today: 'today',
  fit: 'fit',
  damp: 'damp again',
  moults: 'next moult',
  load: 'filling',
  warmth: 'warmth',
};

const heavyWords = (massG: number) =>
  massG < 1000 ? `${Math.round(massG / 10) * 10} g` : `${(massG / 1000).toFixed(1)} kg`;
