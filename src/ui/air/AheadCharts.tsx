import { View } from 'react-native';
import type { Ahead } from '@/client/air.worker';
import type { BandFact } from '@/core/profiles/profile';
import { pouredMl } from '@/core/climate/pouredMl';
import { LineChart, type ChartMark } from '../charts/LineChart';
import { useTheme } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayTick, daysWords } from '@/words/days';
import { addDays, type Day } from '@/core/measure/day';
import { waterWords } from '@/words/jobs';
import { pct } from '@/words/count';

interface Props {
  ahead: Ahead;
  /** The box as it stands, where another way is tried. */
  before: Ahead | null;
  band: BandFact;
  /** The day from which they count. */
  today: Day;
  days: number;
  /** Readings of the last days: days before now (negative) and %. */
  readings: readonly (readonly [number, number])[];
}

const toPoints = (values: readonly number[], times = 1) =>
  values.map((value, hour) => [hour / 24, value * times] as const);

/** At most so many points a line: a phone has no more pixels. */
const thin = (points: readonly (readonly [number, number])[]) => {
  const step = Math.max(1, Math.floor(points.length / 360));
  return points.filter((_, index) => index % step === 0 || index === points.length - 1);
};

/** Humidity and wetness in the days ahead, with the band, the dampings and what the probe has said. */
export function AheadCharts({ ahead, before, band, today, days, readings }: Props) {
  const { theme } = useTheme();
  const { bark, dew, ink, inkSoft } = theme.colors;
  const { course, forecast } = ahead;
  // Looking back as far as there is something to see, at most a third as far as ahead.
  const back = Math.max(-days / 3, Math.min(0, ...readings.map(([at]) => at)));
  const x = [back, days] as const;
  const marks: ChartMark[] = course.dampings
    .slice(0, 4)
    .map(({ hour, waterMl }) => ({ x: hour / 24, label: waterWords(pouredMl(waterMl)) }));
  const lowest = Math.min(band.min, ...course.relativeHumidityPct, ...readings.map(([, value]) => value));
  const floor = Math.max(0, Math.floor((lowest - 5) / 10) * 10);
  const xTick = (day: number) => (day === 0 ? 'now' : dayTick(addDays(today, Math.floor(day)), today));
  const xTicks = ticksFor(back, days);
  const first = course.dampings[0];
  const next = first
    ? `damped again after ${daysWords(Math.round(first.hour / 24))}`
    : 'not damped within the forecast';
  return (
    <View style={{ gap: space.xs }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space.s, flexWrap: 'wrap' }}>
        <Strong>Humidity of its air</Strong>
        <Soft>{`band ${pct(band.min)} to ${pct(band.max)}`}</Soft>
      </View>
      <LineChart
        label={`Humidity over ${daysWords(days)}: now ${pct(course.relativeHumidityPct[0] ?? 0)}, at the end ${pct(course.relativeHumidityPct.at(-1) ?? 0)}, band ${pct(band.min)} to ${pct(band.max)}; ${next}.`}
        height={188}
        x={x}
        y={[floor, 100]}
        xTicks={xTicks}
        xTick={xTick}
        yTick={(value) => `${value} %`}
        band={band}
        marks={marks}
        lines={[
          ...(before
            ? [
                {
                  name: 'as it stands',
                  points: thin(toPoints(before.course.relativeHumidityPct)),
                  color: inkSoft,
                  isDashed: true,
                  width: 1.5,
                },
              ]
            : []),
          { name: 'humidity', points: thin(toPoints(course.relativeHumidityPct)), color: dew },
        ]}
        dots={readings.filter(([at]) => at >= back)}
      />
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space.s, flexWrap: 'wrap' }}>
        <Strong>Wetness of its soil</Strong>
        <Soft>{`limit ${pct(100 * forecast.dampWetnessMin)} of what it holds`}</Soft>
      </View>
      <LineChart
        label={`Wetness: damp end now ${pct(100 * (course.dampWetness[0] ?? 0))} (surface ${pct(100 * (course.dampTop[0] ?? 0))}, lower half ${pct(100 * (course.dampLow[0] ?? 0))}), dry end ${pct(100 * (course.dryWetness[0] ?? 0))} of what they hold.`}
        height={138}
        x={x}
        y={[0, 100]}
        xTicks={xTicks}
        xTick={xTick}
        yTick={(value) => `${value} %`}
        limit={100 * forecast.dampWetnessMin}
        marks={marks.map((mark) => ({ ...mark, label: '' }))}
        lines={[
          ...(before
            ? [
                {
                  name: 'damp end as it stands',
                  points: thin(toPoints(before.course.dampWetness, 100)),
                  color: inkSoft,
                  isDashed: true,
                  width: 1.5,
                },
              ]
            : []),
          { name: 'dry end', points: thin(toPoints(course.dryWetness, 100)), color: bark, width: 2 },
          {
            ...{ name: 'its surface', points: thin(toPoints(course.dampTop, 100)), color: dew },
            ...{ isDashed: true, width: 1.5 },
          },
          {
            ...{ name: 'its lower half', points: thin(toPoints(course.dampLow, 100)), color: dew },
            ...{ width: 1.5 },
          },
          { name: 'damp end', points: thin(toPoints(course.dampWetness, 100)), color: ink },
        ]}
      />
      {readings.length > 0 ? <Soft>Dots: readings of its probe.</Soft> : null}
      {course.condensationHours >= 1 ? (
        <Soft>{`Vapour condenses on walls or lid in ${Math.round(course.condensationHours)} of ${days * 24} hours, when the room cools.`}</Soft>
      ) : null}
    </View>
  );
}

function ticksFor(back: number, days: number): number[] {
  const step = days <= 7 ? 2 : days <= 30 ? 7 : 30;
  const ahead = Array.from({ length: Math.floor(days / step) + 1 }, (_, index) => index * step);
  return back < -step / 2 ? [Math.ceil(back), ...ahead] : ahead;
}
