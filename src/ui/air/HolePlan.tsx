import { useState } from 'react';
import { View } from 'react-native';
import { useWorked } from '@/client/airWorker';
import { freshQuestion, triedFilling, type Asked, type Holes } from '@/client/homeAir';
import type { VentOption } from '@/core/climate/ventPlan';
import { LineChart } from '../charts/LineChart';
import { Button } from '../kit/Button';
import { Slider } from '../kit/Slider';
import { StatusMark } from '../components/StatusMark';
import { useTheme } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { holesWords, relaxWords } from '@/words/air';
import { changesNumber, changesWords } from '@/words/staleAir';
import { daysWords } from '@/words/days';
import { useLength } from '@/words/useLength';
import { pct } from '@/words/count';

interface Props {
  asked: Asked;
  /** The widest hole that holds the animal. mm */
  maxHoleMm: number;
  /** The school on openings that its tenant is kept by. */
  openings: string | undefined;
  onTry: (holes: Holes) => void;
}

/** Solves for holes: what is wished for, what grants it, and what each step of air costs in days. */
export function HolePlan({ asked, maxHoleMm, openings, onTry }: Props) {
  const length = useLength();
  const { theme } = useTheme();
  const { climate } = asked.profile;
  const [redampDays, setRedampDays] = useState(14);
  const [airChanges, setAirChanges] = useState(climate.airChangesPerHour.value);
  const { wetness, layers, judged, room, warmingK, factors } = freshQuestion(asked, 1);
  const question = {
    container: asked.home.container,
    filling: triedFilling(asked),
    ...{ wetness, layers, judged },
    room,
    warmingK,
    factors,
    wishes: {
      humidityPct: climate.humidityPct,
      redampDays,
      airChangesPerHour: airChanges,
      dampWetnessMin: climate.dampWetnessMin.value,
      maxHoleMm,
      openings,
    },
  };
  const plan = useWorked(JSON.stringify(question), (worker) => worker.holes(question, asked.materials));
  return (
    <View style={{ gap: space.s }}>
      <Soft>{`Air between ${pct(climate.humidityPct.min)} and ${pct(climate.humidityPct.max)}; no hole wider than ${length.long(Math.floor(maxHoleMm * 10) / 10)}.`}</Soft>
      <Slider
        label="Damped no more often than every"
        words={daysWords(redampDays)}
        value={redampDays}
        min={1}
        max={60}
        step={1}
        onChange={setRedampDays}
      />
      <Slider
        label="Changes of air, at least"
        words={changesWords(airChanges)}
        value={airChanges}
        min={0}
        max={20}
        step={0.5}
        onChange={setAirChanges}
      />
      {plan === null ? (
        <Body>Working it out.</Body>
      ) : plan.isGlass ? (
        <Body>Glass is not drilled: it cracks, and in the hand. What its own openings give is told above.</Body>
      ) : plan.best ? (
        <>
          <Granted option={plan.best} />
          <Button
            rank="second"
            title="Try these holes above"
            onPress={() =>
              plan.best &&
              onTry({
                sides: plan.best.sides,
                perSide: plan.best.holesPerSide,
                diameterMm: plan.best.diameterMm,
                meshApertureMm: plan.best.meshApertureMm,
              })
            }
          />
        </>
      ) : (
        <View style={{ gap: space.xs }} aria-live="polite">
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }}>
            <StatusMark status="fail" />
            <Strong style={{ color: theme.colors.clay, flex: 1 }}>No holes grant all of that in this box.</Strong>
          </View>
          {plan.relax.length === 0 ? (
            <Body>Two wishes would have to be eased at once: see the curve.</Body>
          ) : (
            plan.relax.map((each) => <Body key={each.wish}>{relaxWords(each)}</Body>)
          )}
        </View>
      )}
      {plan && !plan.isGlass ? (
        <TradeOff options={plan.tradeOff} best={plan.best} wishes={{ redampDays, airChanges }} />
      ) : null}
    </View>
  );
}

function Granted({ option }: { option: VentOption }) {
  const length = useLength();
  const { theme } = useTheme();
  return (
    <View style={{ gap: space.hair }} aria-live="polite">
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }}>
        <StatusMark status="pass" />
        <Strong style={{ color: theme.colors.good, flex: 1 }}>{holesWords(option, length)}</Strong>
      </View>
      <Soft>{`${changesNumber(option.airChangesPerHour)} changes of air an hour, ${pct(option.relativeHumidityPct)}, damped every ${daysWords(Math.round(option.redampDays))}. What is drilled now is left out of this.`}</Soft>
    </View>
  );
}

interface TradeOffProps {
  options: VentOption[];
  best: VentOption | null;
  wishes: { redampDays: number; airChanges: number };
}

/** What every step of air costs in days: nothing on the near side of the line can be bettered. */
function TradeOff({ options, best, wishes }: TradeOffProps) {
  const { theme } = useTheme();
  const points = options.map((each) => [Math.log10(Math.max(0.1, each.airChangesPerHour)), each.redampDays] as const);
  if (points.length < 2) return null;
  const xs = points.map(([at]) => at);
  const x = [Math.min(...xs), Math.max(...xs)] as const;
  const most = Math.max(10, ...points.map(([, days]) => days));
  const ticks = [0.1, 0.3, 1, 3, 10, 30, 100, 300].filter((tick) => {
    const at = Math.log10(tick);
    return at >= x[0] && at <= x[1];
  });
  return (
    <View style={{ gap: space.xs }}>
      <Strong>Days against air</Strong>
      <LineChart
        label={`Trade-off: from ${changesNumber(options[0]?.airChangesPerHour ?? 0)} changes of air an hour and ${daysWords(Math.round(options[0]?.redampDays ?? 0))} to ${changesNumber(options.at(-1)?.airChangesPerHour ?? 0)} and ${daysWords(Math.round(options.at(-1)?.redampDays ?? 0))}.`}
        height={170}
        x={x}
        y={[0, most]}
        xTicks={ticks.map((tick) => Math.log10(tick))}
        xTick={(at) => `${Number((10 ** at).toPrecision(1))}`}
        yTick={(days) => `${days} d`}
        limit={wishes.redampDays <= most ? wishes.redampDays : undefined}
        of="changes of air an hour"
        lines={[{ name: 'days until it is damped again', points, color: theme.colors.good }]}
        dots={points}
        rings={best ? [[Math.log10(Math.max(0.1, best.airChangesPerHour)), best.redampDays]] : []}
      />
      <Soft>
        Across: changes of air an hour. Up: days until it is damped again. Dotted: your wish. Ring: these holes.
      </Soft>
    </View>
  );
}
