import type { WateringWay } from '@/core/climate/soilLayers';
import type { Job, LeaveAlone, ProbeAlarm } from '@/core/plan/work';
import type { AlarmKind } from '@/core/readings/alarms';
import { REST_ACT_WORDS } from './rest';
import { cautionsWords, mealTitle, type Names } from './food';
import { dayWords, daysWords, timeWords } from './days';
import type { LengthWords } from './lengths';
import type { TemperatureWords } from './temperature';
import { listWords } from './count';

/** What is to be done, short. */
export function jobTitle(job: Job, length: LengthWords, names: Names, temperature: TemperatureWords): string {
  switch (job.kind) {
    case 'feed':
      return job.meal ? mealTitle(names, job.meal, length) : 'Food';
    case 'search':
      return 'Search the old leaves, then throw them away';
    case 'calcium':
      return 'Look at the lime: replace it when worn or pink';
    case 'clutch':
      return 'Search the soil for eggs';
    case 'barrier':
      return 'Renew the barrier on the rim';
    case 'rubbish':
      return job.leavesHeap ? 'Take rubbish out, leave a small heap' : 'Take the rubbish heap out';
    case 'clean':
      return 'Take droppings and remains out';
    case 'turn':
      return 'Turn the soil';
    case 'refresh':
      return 'Refresh half of the soil, keep the other';
    case 'weigh':
      return 'Weigh it';
    case 'measure':
      return 'Measure it after its moult';
    case 'census':
      return 'Count them';
    case 'check-buried':
      return job.reason.code === 'buried' && job.reason.sign === 'sealed'
        ? 'Look whether it is alive: do not wake it'
        : 'Look for it: brush soil aside only, do not dig';
    case 'look':
      return lookTitle(job.reason);
    case 'hatch':
      return 'Have any hatched? Take them out';
    case 'emerge':
      return 'Is a moth out? Look, do not touch';
    case 'hold':
      if (job.reason.code !== 'hold') return 'Carry the cocoons';
      return job.reason.to === 'warm'
        ? `Bring the cocoons into the warm and damp, near ${temperature.long(job.reason.targetC)}`
        : `Hold the cocoons back in the cool, dry, near ${temperature.long(job.reason.targetC)}`;
    case 'pair':
      return 'Put the pair together in a net for the night';
    case 'battery':
      return 'Change the battery of the probe';
    case 'papers':
      return job.reason.code === 'papers' ? `Renew its papers: ${job.reason.title}` : 'Renew its papers';
    case 'label':
      return 'Put the label right';
    case 'move':
      return `Move to ${job.move?.toCode ?? 'its new box'}`;
    case 'rest':
      return job.rest ? restTitle(job.rest, temperature) : 'Winter rest';
    case 'prey-out':
      return 'Take the prey out: it is left alone now';
    case 'leftovers':
      return job.meal && job.meal.eats !== 'prey'
        ? 'Look what is left of the food, take it out'
        : 'Look for the prey, take out what is left';
    case 'water':
      return 'Rinse and fill the dish, or change its cotton';
    case 'damp':
      return dampTitle(job.water);
    case 'mist':
      return 'Mist leaves and walls';
    case 'alarm':
      return alarmTitle(job);
    case 'soil':
      return `Raise the soil to ${length.long(job.soil?.toMm ?? 0)}`.replace(
        'Raise',
        (job.soil?.toMm ?? 0) >= (job.soil?.fromMm ?? 0) ? 'Raise' : 'Lower',
      );
    case 'mend':
      return 'Put the box right';
    case 'rehouse':
      return 'This box no longer fits';
  }
}

/** "Cool down to 14 C". */
function restTitle({ what, targetC, place }: NonNullable<Job['rest']>, temperature: TemperatureWords): string {
  const step = REST_ACT_WORDS[what];
  if (what !== 'cool' && what !== 'warm') return step;
  return `${step} to ${temperature.long(targetC)}${place === null ? '' : `: ${place}`}`;
}

/** Where water is poured. */
export const POURED_WORDS: Record<WateringWay, string> = {
  'down-side': 'down the side at the damp end',
  'at-end': 'at the damp end',
  throughout: 'over all the soil',
  'mist-top': 'as a mist',
  'fill-dish': 'into the dish',
};

function dampTitle(water: Job['water']): string {
  if (!water) return 'Damp the soil';
  return `${waterWords(water.ml)} ${POURED_WORDS[water.way]}`;
}

/** "40 mL poured." */
export const pouredWords = (ml: number) => `${waterWords(ml)} poured.`;

/** "40 mL", "1.2 L". */
export const waterWords = (ml: number): string => (ml < 1000 ? `${ml} mL` : `${(ml / 1000).toFixed(1)} L`);

const ALARM_TITLES: Record<AlarmKind, string> = {
  'too-dry': 'Too dry: look in',
  'too-damp': 'Too damp: let air in',
  'too-cold': 'Too cold: look at the heat',
  'too-warm': 'Too warm: look at the heat',
  silent: 'Look at the probe: it is silent',
  stuck: 'Look at the probe: it is stuck',
};

function alarmTitle({ reason }: Job): string {
  const first = reason.code === 'alarms' ? reason.alarms[0] : undefined;
  return first ? ALARM_TITLES[first.kind] : 'Look at the probe';
}

/** "damp end at 56 %" of all that the mix holds. */
const wetnessPct = (wetness: number) => `${Math.round(100 * wetness)} %`;

/** One alarm: what the probe says, since when, and what would be right. */
export function alarmWords({ kind, hours, value, limit, probe }: ProbeAlarm, temperature: TemperatureWords): string {
  const long = hoursWords(hours);
  const lasting = hours === 0 ? '' : ` for ${long}`;
  switch (kind) {
    case 'too-dry':
    case 'too-damp':
      return `${probe}: ${Math.round(value ?? 0)} %${lasting}, limit ${limit} %`;
    case 'too-cold':
    case 'too-warm':
      return `${probe}: ${temperature.long(value ?? 0)}${lasting}, limit ${temperature.long(limit ?? 0)}`;
    case 'silent':
      return `${probe}: nothing for ${long}`;
    case 'stuck':
      return `${probe}: the very same value for ${long}`;
  }
}

/** "9 hours", "3 days". */
export const hoursWords = (hours: number): string =>
  hours < 48 ? `${Math.round(hours)} hours` : daysWords(Math.round(hours / 24));

const BY_WORDS = { damped: 'damped', felt: 'felt', weighed: 'weighed' } as const;

/** A rule of a home, and what it is called where it fails. */
interface RuleTitle {
  rule: string;
  title: string;
}

/** Why it is due. `rules` give those of the home that fail their words. */
export function jobReason(job: Job, today: string, rules: readonly RuleTitle[], temperature: TemperatureWords): string {
  const { reason } = job;
  const { cautions = [] } = job.meal ?? {};
  const minding = cautions.length > 0 ? `; ${cautionsWords(cautions)}` : '';
  switch (reason.code) {
    case 'never':
      return `nothing written down since ${dayWords(reason.since, today)}${minding}`;
    case 'since-last': {
      const old =
        job.kind === 'refresh' ? '; the old soil holds young and feeds them: search it, half of it stays' : '';
      return `${daysWords(reason.days)} since the last, ${dayWords(reason.on, today)}${minding}${old}`;
    }
    case 'after-refusal':
      return `refused ${daysWords(reason.days)} ago: offer again${minding}`;
    case 'offered':
      return `${job.kind === 'search' ? 'changed' : 'offered'} ${dayWords(reason.on, today)} ${timeWords(reason.at)}`;
    case 'dries':
      return (
        `${job.water?.way === 'throughout' ? 'soil' : 'damp end'} at ${wetnessPct(reason.dampWetness)} of what it holds, wants ${wetnessPct(reason.dampWetnessMin)}; ` +
        `${BY_WORDS[reason.by]} ${dayWords(reason.since, today)}`
      );
    case 'dry-air':
      return `its air is at ${Math.round(reason.humidityPct)} % for ${hoursWords(reason.hours)}, wants ${reason.minPct} %`;
    case 'alarms':
      return reason.alarms.map((each) => alarmWords(each, temperature)).join('; ');
    case 'rest':
      return reason.lateDays > 0
        ? `winter rest, ${daysWords(reason.lateDays)} late: the steps after it have moved`
        : 'winter rest';
    case 'buried':
      return `${signWords(reason.sign)} since ${dayWords(reason.since, today)}, ${daysWords(reason.days)}`;
    case 'quiet-over':
      return `left alone since ${dayWords(reason.since, today)}, ${reason.mayMoult ? 'a moult was expected by' : 'stirring was expected by'} ${dayWords(reason.on, today)}${minding}`;
    case 'founding':
      return `founding since ${dayWords(reason.since, today)}, her first workers may be there`;
    case 'founding-water':
      return `founding since ${dayWords(reason.since, today)}; nothing is opened for it`;
    case 'coming':
      return `likely ${dayWords(reason.from, today)} to ${dayWords(reason.until, today)}`;
    case 'hold':
      return reason.to === 'warm'
        ? 'so that they fly with the others'
        : `early: the others come later${reason.until === null ? '' : `; until ${dayWords(reason.until, today)}`}`;
    case 'pair':
      return `both are likeliest out ${dayWords(reason.on, today)}; near ${temperature.long(reason.targetC)}`;
    case 'moved':
      return `moved ${dayWords(reason.on, today)}`;
    case 'moulted':
      return `moulted ${dayWords(reason.on, today)}, not measured since`;
    case 'no-moult':
      return `no moult told of since ${dayWords(reason.since, today)}, usually every ${daysWords(Math.round(reason.usualDays))}: look for a skin`;
    case 'papers':
      return reason.expiresOn < today
        ? `they ended ${dayWords(reason.expiresOn, today)}`
        : `they end ${dayWords(reason.expiresOn, today)}`;
    case 'move-planned':
      return `planned for ${dayWords(reason.on, today)}; its window is open until ${dayWords(reason.until, today)}`;
    case 'home-fails':
      return reason.rules
        .map((rule) => rules.find((each) => each.rule === rule)?.title ?? rule)
        .join('; ')
        .toLowerCase();
  }
}

const SIGN_WORDS: Record<string, string> = {
  'refused-food': 'off its food',
  dull: 'dull',
  dark: 'dark',
  'bald-patch-dark': 'bald patch dark',
  webbed: 'web thick',
  sealed: 'sealed in',
  buried: 'buried',
  hanging: 'hanging',
  contractions: 'contracting',
  swollen: 'swollen',
};

export const signWords = (sign: string) => SIGN_WORDS[sign] ?? sign;

/** Why an animal is left alone, and until when. */
export function leaveAloneWords(quiet: LeaveAlone, today: string): string {
  if (quiet.code === 'hardening') return `hardening, food from ${dayWords(quiet.feedFrom, today)}`;
  if (quiet.code === 'founding') {
    const end =
      quiet.endsOn === null ? 'too cold for brood' : `first workers by about ${dayWords(quiet.endsOn, today)}`;
    return `sealed in with her brood since ${dayWords(quiet.since, today)}, ${end}`;
  }
  if (quiet.code === 'resting')
    return `winter rest since ${dayWords(quiet.since, today)}, over about ${dayWords(quiet.endsOn, today)}`;
  const chance = quiet.premoultPct === null ? '' : `, ${Math.round(quiet.premoultPct)} % a moult is close`;
  const end = `food again ${dayWords(quiet.endsOn, today)}`;
  return `${listWords(quiet.signs.map(signWords))} since ${dayWords(quiet.since, today)}${chance}, ${end}`;
}

/** What is looked for from outside. */
function lookTitle(reason: Job['reason']): string {
  if (reason.code === 'founding') return 'Are there workers? Look through the glass';
  if (reason.code === 'founding-water') return 'Has she water? Look through the glass';
  const mayMoult = reason.code !== 'quiet-over' || reason.mayMoult;
  return mayMoult ? 'Has it moulted? Look for a skin, from outside' : 'How is it? Look from outside';
}
