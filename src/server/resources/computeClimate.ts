import type { z } from 'zod';
import type { airSchoolsRequest, calibrateRequest, moistureRequest, ventPlanRequest } from '@/contract/climate';
import { soilOf } from '@/contract/substrate';
import { airFlow } from '@/core/climate/airFlow';
import type { MoistureForecast, Wishes } from '@/core/climate/forecast';
import { wishesOf } from '@/core/climate/homeAir';
import { LEFT_OUT } from '@/core/climate/leftOut';
import { moistBox, type Filling } from '@/core/climate/moistBox';
import { layersAt, type MoistureCourse, type MoistureQuestion } from '@/core/climate/moisture';
import { layersAtStart, pour } from '@/core/climate/soilLayers';
import { airState } from '@/core/climate/psychrometrics';
import type { Relaxation } from '@/core/climate/ventPlan';
import { flat } from '@/core/housing/soil';
import type { MaterialTable } from '@/core/substrate/material';
import { careOf, materialTable } from '../care';
import type { Handlers } from '../http/mount';
import { invalid } from '../http/problem';
import { inTime } from '../threads/pool';
import type { Deps } from './deps';

type Names = 'psychrometrics' | 'vents' | 'moisture' | 'ventPlan' | 'calibrate' | 'airSchools';

type Moist = Pick<
  z.output<typeof moistureRequest | typeof ventPlanRequest | typeof calibrateRequest | typeof airSchoolsRequest>,
  | 'container'
  | 'substrate'
  | 'dishAreaCm2'
  | 'room'
  | 'roomSeries'
  | 'warmingK'
  | 'factors'
  | 'wallThicknessMm'
  | 'seamGapMm'
  | 'lidOff'
>;

const fillingOf = ({ substrate, dishAreaCm2 }: Moist): Filling => ({
  soil: soilOf(substrate),
  recipe: substrate.recipe,
  dampSharePct: substrate.dampSharePct,
  litterDepthMm: substrate.litterDepthMm,
  dishAreaCm2,
});

function questionOf(body: Moist, materials: MaterialTable, days: number, stepMinutes = 60): MoistureQuestion {
  const { container, room, roomSeries, warmingK, factors, substrate } = body;
  const box = moistBox(container, fillingOf(body), materials, body);
  const { wetness, layers } = substrate;
  return { box, wetness, layers, room, roomSeries, warmingK, factors, days, stepMinutes };
}

/** The soil at the start, after what was poured on it. */
function poured({ box, wetness, layers }: MoistureQuestion, pouring: z.output<typeof moistureRequest>['pour']) {
  return pour(box, layersAtStart({ wetness, layers }), pouring?.way ?? 'fill-dish', pouring?.waterMl ?? 0);
}

const seriesOf = (course: MoistureCourse) =>
  Array.from(course.relativeHumidityPct, (relativeHumidityPct, hour) => ({
    hour,
    relativeHumidityPct,
    dampWetness: course.dampWetness[hour] ?? 0,
    dryWetness: course.dryWetness[hour] ?? 0,
    layers: layersAt(course, hour),
    temperatureC: course.temperatureC[hour] ?? 0,
  }));

const answerOf = ({ course, ...forecast }: MoistureForecast) => ({ ...forecast, series: seriesOf(course) });

/** Engines 3 and 4 over HTTP. */
export function computeClimateHandlers({ database }: Pick<Deps, 'database'>): Pick<Handlers, Names> {
  return {
    psychrometrics: ({ body }) => airState(body.temperatureC, body.relativeHumidityPct, body.pressurePa),

    vents: ({ body: { substrateDepthMm, ...body } }) => airFlow({ ...body, soil: flat(substrateDepthMm) }),

    moisture: async ({ body }) => {
      const asked = questionOf(body, await materialTable(database), body.days, body.stepMinutes);
      const { layers, standsMl } = poured(asked, body.pour);
      const question = { ...asked, layers, judged: body.judged };
      const wishes = { ...(await wishesOfProfile(database, body.profile)), ...body.wishes };
      const { forecast, band } = await inTime('dryingAhead', question, wishes);
      return { ...answerOf(forecast), redampBand: band, standsMl, leftOut: [...LEFT_OUT] };
    },

    ventPlan: async ({ body }) => {
      const { container, room, warmingK, wishes, factors } = body;
      const plan = await inTime(
        'ventPlan',
        {
          container,
          filling: fillingOf(body),
          wetness: body.substrate.wetness,
          layers: body.substrate.layers,
          room,
          warmingK,
          wishes,
          factors,
          settings: body,
        },
        await materialTable(database),
      );
      return { ...plan, relax: plan.relax.map((each) => ({ ...each, message: relaxationWords(each) })) };
    },

    calibrate: async ({ body }) => {
      const { days: _, ...question } = questionOf(body, await materialTable(database), 1);
      return inTime('calibrate', question, body.measured);
    },

    airSchools: async ({ body }) => {
      const materials = await materialTable(database);
      const wishes = body.wishes ?? {};
      const withDish = questionOf(body, materials, body.days);
      const without = questionOf({ ...body, dishAreaCm2: 0 }, materials, body.days);
      const answers = await inTime('compareRegimes', withDish, without, wishes, body.mistToPct, body.mistMl);
      return {
        schools: answers.map(({ regime, forecast, ...rest }) => ({ school: regime, ...rest, ...answerOf(forecast) })),
      };
    },
  };
}

async function wishesOfProfile(database: Deps['database'], profile: string | undefined): Promise<Wishes> {
  if (profile === undefined) return {};
  const care = await careOf(database);
  if (!care.has(profile)) throw invalid('profile', 'There is no care profile of that id. See /api/profiles.');
  return wishesOf(care.of({ profile }));
}

/** Which wish to ease, in one sentence. */
function relaxationWords({ wish, to }: Relaxation): string {
  switch (wish) {
    case 'redampDays':
      return `Damp it every ${Math.floor(to)} days instead.`;
    case 'airChanges':
      return `Be content with ${to.toFixed(1)} air changes an hour.`;
    case 'humidityLow':
      return `Let the air be as dry as ${Math.floor(to)} %.`;
    case 'humidityHigh':
      return `Let the air be as damp as ${Math.ceil(to)} %.`;
  }
}
