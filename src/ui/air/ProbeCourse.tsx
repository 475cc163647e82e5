import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { houseNow } from '@/client/clock';
import { problemOf } from '@/client/house';
import type { Probe } from '@/contract/readings';
import type { Climate } from '@/core/profiles/profile';
import { DAY_MS } from '@/core/readings/reading';
import { LineChart } from '../charts/LineChart';
import { Choices } from '../kit/Choices';
import { useTheme } from '../components/useStyles';
import { Body, Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { useTemperature } from '@/words/temperature';
import { pct } from '@/words/count';

type Series = Awaited<ReturnType<typeof call<'probeSeries'>>>;
const SPANS = { day: 1, week: 7, month: 30, year: 365 } as const;
type Span = keyof typeof SPANS;

interface Props {
  probe: Probe;
  climate?: Climate | undefined;
  today: string;
}

/** What a probe has said over a day, a week, a month or a year. */
export function ProbeCourse({ probe, climate, today }: Props) {
  const [span, setSpan] = useState<Span>('week');
  const [series, setSeries] = useState<Series | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const latest = probe.latest?.at;
  useEffect(() => {
    let isCurrent = true;
    const to = new Date(latest === undefined ? houseNow() : Date.parse(latest) + 60_000);
    const from = new Date(to.getTime() - SPANS[span] * DAY_MS);
    call('probeSeries', { params: { id: probe.id }, query: { from: from.toISOString(), to: to.toISOString() } })
      .then((each) => isCurrent && setSeries(each))
      .catch((error: unknown) => isCurrent && setProblem(problemOf(error)));
    return () => {
      isCurrent = false;
    };
  }, [probe.id, latest, span]);
  return (
    <View style={{ gap: space.s }}>
      <Choices
        label={`How far back, ${probe.name}`}
        choices={[
          { value: 'day', title: 'day' },
          { value: 'week', title: 'week' },
          { value: 'month', title: 'month' },
          { value: 'year', title: 'year' },
        ]}
        value={span}
        onChange={setSpan}
      />
      {problem !== null ? <Body>{problem}</Body> : null}
      {series === null ? (
        <Body>Fetching its readings.</Body>
      ) : (
        <Courses series={series} climate={climate} today={today} />
      )}
    </View>
  );
}

function Courses({ series, climate, today }: { series: Series; climate: Climate | undefined; today: string }) {
  const { theme } = useTheme();
  const temperature = useTemperature();
  const { points, doubted, readings } = series;
  if (points.length === 0) return <Soft>Nothing in this time.</Soft>;
  const at = (instant: string) => Date.parse(instant);
  const x = [at(points[0]?.at ?? ''), Math.max(at(points.at(-1)?.at ?? ''), at(points[0]?.at ?? '') + 1)] as const;
  const xTick = (moment: number) => {
    const day = new Date(moment);
    return x[1] - x[0] < 2 * DAY_MS
      ? `${String(day.getHours()).padStart(2, '0')}:${String(day.getMinutes()).padStart(2, '0')}`
      : dayWords(day.toISOString().slice(0, 10), today);
  };
  const xTicks = [0, 1 / 3, 2 / 3, 1].map((share) => x[0] + share * (x[1] - x[0]));
  const pick = (field: 'relativeHumidityPct' | 'temperatureC' | 'massG', convert = (value: number) => value) =>
    points.flatMap((each) => {
      const value = each[field];
      return value === null ? [] : [[at(each.at), convert(value)] as const];
    });
  const humidity = pick('relativeHumidityPct');
  const warmth = pick('temperatureC', temperature.value);
  const mass = pick('massG');
  const rings = (field: 'relativeHumidityPct' | 'temperatureC', convert = (value: number) => value) =>
    doubted.flatMap((each) => {
      const value = each[field];
      return value === null ? [] : [[at(each.at), convert(value)] as const];
    });
  const common = { x, xTick, xTicks, height: 150 };
  return (
    <View style={{ gap: space.s }}>
      {humidity.length > 0 ? (
        <LineChart
          {...common}
          label={`Humidity, ${pct(lowest(humidity))} to ${pct(highest(humidity))} in ${readings} readings.`}
          y={[Math.max(0, Math.floor(Math.min(lowest(humidity), climate?.humidityPct.min ?? 100) / 10) * 10 - 5), 100]}
          yTick={(value) => `${value} %`}
          band={climate?.humidityPct}
          lines={[{ name: 'humidity', points: humidity, color: theme.colors.dew, width: 2 }]}
          rings={rings('relativeHumidityPct')}
        />
      ) : null}
      {warmth.length > 0 ? (
        <LineChart
          {...common}
          label={`Temperature, ${lowest(warmth).toFixed(1)} to ${highest(warmth).toFixed(1)} ${temperature.unit}.`}
          y={[Math.floor(lowest(warmth)) - 2, Math.ceil(highest(warmth)) + 2]}
          yTick={(value) => `${value} ${temperature.unit}`}
          band={
            climate && {
              min: temperature.value(climate.temperatureC.min),
              max: temperature.value(climate.temperatureC.max),
            }
          }
          lines={[{ name: 'temperature', points: warmth, color: theme.colors.clay, width: 2 }]}
          rings={rings('temperatureC', temperature.value)}
        />
      ) : null}
      {mass.length > 1 ? (
        <LineChart
          {...common}
          label={`Weight, ${Math.round(lowest(mass))} to ${Math.round(highest(mass))} g.`}
          y={[Math.floor(lowest(mass)) - 5, Math.ceil(highest(mass)) + 5]}
          yTick={(value) => `${value}`}
          lines={[{ name: 'weight, g', points: mass, color: theme.colors.ink, width: 2 }]}
          dots={mass}
        />
      ) : null}
      <Soft>
        {`${readings} readings${doubted.length > 0 ? `; ${doubted.length} doubted, shown as rings and not reckoned with` : ''}.`}
      </Soft>
    </View>
  );
}

const lowest = (points: (readonly [number, number])[]) => Math.min(...points.map(([, value]) => value));
const highest = (points: (readonly [number, number])[]) => Math.max(...points.map(([, value]) => value));
