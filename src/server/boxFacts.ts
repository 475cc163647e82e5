import { type MarkedReading, DAY_MS } from '@/core/readings/reading';
import { shippedSpecies } from '@/contract/shipped';
import { quietDaysAfterMoult } from '@/core/growth/quietDays';
import { findByName } from '@/core/profiles/knownNames';
import { fit } from '@/core/housing/fit';
import { daysBetween, type Day } from '@/core/measure/day';
import { nextMeal } from '@/core/plan/feedingJobs';
import { latest } from '@/core/plan/signs';
import type { LogKind } from '@/core/plan/work';
import { airSchool } from '@/core/profiles/schools';
import type { BoxFacts } from '@/core/trouble/boxSigns';
import { growthAhead } from './house/housePlan';
import type { HouseToday, Lodger } from './house/houseToday';
import type { Queries } from './storage/database';
import { listProbes } from './storage/probes';
import { readingsOfHomes } from './storage/readings';

/** The air is what its probes measured on the last day, else what is forecast for the box. */
const MEASURED_DAYS = 1;

/** What is known of the box of one resident, and of it, as the trouble finder asks for it. */
export async function boxFacts(queries: Queries, house: HouseToday, lodger: Lodger, now: string): Promise<BoxFacts> {
  const { on, care } = house;
  const { resident, home, log, today } = lodger;
  const profile = care.of(resident);
  const { climate, measure } = profile;
  const measured = await measuredAir(queries, home.id, now);
  const forecast = house.homeStates.get(home.id)?.air;
  const since = (...kinds: LogKind[]) => daysSince(latest(log, kinds, on)?.on, on);
  const growth = growthAhead(house, lodger, 1);
  const offered = latest(log, ['offered'], on);
  const closed = latest(log, ['eaten', 'refused'], on);
  const clean = profile.work.find(({ work, stages }) => work === 'clean' && stages.includes(resident.stage));
  return {
    humidityPct: measured.humidityPct ?? forecast?.humidityPct,
    humidityBand: climate.humidityPct,
    temperatureC: measured.temperatureC ?? house.facts.warmth(home).temperatureC,
    temperatureBand: climate.temperatureC,
    dampWetness: today.watering?.dampWetness,
    dampWetnessMin: climate.dampWetnessMin.value,
    airChangesPerHour: forecast?.airChangesPerHour,
    airChangesMin: climate.airChangesPerHour.value,
    daysSinceFood: since('eaten') ?? (profile.feeding ? undefined : since('offered')),
    foodEveryDays: nextMeal(today, on)?.everyDays,
    daysSinceMoult: since('moulted'),
    quietDays: quietDaysAfterMoult(profile, resident.stage, resident[measure.takes] ?? 0),
    premoultPct: growth?.next ? growth.premoultPct : undefined,
    daysSinceMove: since('moved', 'taken-in'),
    daysSinceCleaned: since('cleaned'),
    cleanedEveryDays: clean?.everyDays,
    failing: fit(profile, {
      ...resident,
      ...home,
      settled: resident.keptSo,
      school: airSchool(profile, resident.schools),
    })
      .checks.filter(({ status }) => status === 'fail')
      .map(({ rule }) => rule),
    preyIn: profile.feeding && offered ? (closed?.at ?? '') < offered.at && daysSince(offered.on, on) !== 0 : undefined,
    ageYears: resident.bornOn === null ? undefined : daysBetween(resident.bornOn, on) / 365.25,
    lifeYears: findByName(shippedSpecies, resident.scientificName)?.lifeYears,
  };
}

const daysSince = (day: Day | undefined, on: Day) => (day === undefined ? undefined : daysBetween(day, on));

/** The mean of the last day's readings in the air of a home. */
async function measuredAir(queries: Queries, homeId: string, now: string) {
  const since = new Date(Date.parse(now) - MEASURED_DAYS * DAY_MS).toISOString();
  const readings = await readingsOfHomes(queries, since, homeId);
  const inAir = (await listProbes(queries, homeId)).filter(({ place }) => place === 'air' || place === 'cool');
  const taken = inAir.flatMap(({ id }) => readings.get(id) ?? []).filter(({ mark }) => mark === null);
  return {
    humidityPct: meanOf(taken, ({ relativeHumidityPct }) => relativeHumidityPct),
    temperatureC: meanOf(taken, ({ temperatureC }) => temperatureC),
  };
}

function meanOf(readings: readonly MarkedReading[], value: (reading: MarkedReading) => number | undefined) {
  const values = readings.flatMap((each) => value(each) ?? []);
  return values.length > 0 ? values.reduce((sum, each) => sum + each, 0) / values.length : undefined;
}
