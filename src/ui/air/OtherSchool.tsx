import { useState } from 'react';
import { View } from 'react-native';
import { useWorked } from '@/client/airWorker';
import { freshQuestion, type Asked } from '@/client/homeAir';
import { MIST_ML_PER_M2, type RegimeAnswer } from '@/core/climate/regimes';
import { floorAreaMm2 } from '@/core/housing/container';
import { wishesOf } from '@/core/climate/homeAir';
import { LineChart } from '../charts/LineChart';
import { Slider } from '../kit/Slider';
import { makeStyles, useTheme } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { STALE_WORDS } from '@/words/staleAir';
import { pct } from '@/words/count';

const DAYS = 21;
/** A dish of this share of the floor is what the other school calls large; from memory. */
const LARGE_DISH_SHARE = 0.1;

const TITLES = {
  'dish-and-cross-flow': 'Large dish, no misting',
  'mist-to-a-number': 'Misted to a number',
} as const;

/** The same box kept the two ways that keepers argue about, in numbers. */
export function OtherSchool({ asked }: { asked: Asked }) {
  const styles = useStyles();
  const { humidityPct } = asked.profile.climate;
  const [number, setNumber] = useState(Math.round((humidityPct.min + humidityPct.max) / 2));
  const floorM2 = floorAreaMm2(asked.home.container) / 1e6;
  const mistMl = Math.max(2, Math.round(MIST_ML_PER_M2 * floorM2));
  const dishAreaCm2 = Math.max(asked.tried.dishAreaCm2, LARGE_DISH_SHARE * floorM2 * 1e4);
  const withDish = freshQuestion({ ...asked, tried: { ...asked.tried, dishAreaCm2 } }, DAYS);
  const without = freshQuestion({ ...asked, tried: { ...asked.tried, dishAreaCm2: 0 } }, DAYS);
  // Both schools keep the soil of such a box at its dry end: what differs is where the damp comes from.
  const dry = { wetness: { damp: without.wetness.dry, dry: without.wetness.dry }, layers: undefined };
  // Of the soil neither school asks anything here.
  const wishes = { ...wishesOf(asked.profile), dampWetnessMin: 0 };
  const answers = useWorked(JSON.stringify([withDish, without, number, mistMl]), (worker) =>
    worker.schools({ ...withDish, ...dry }, { ...without, ...dry }, wishes, number, mistMl),
  );
  return (
    <View style={{ gap: space.s }}>
      <Soft>{`For ${DAYS} days, from soil at its dry end. Dish of ${Math.round(dishAreaCm2)} cm², or ${mistMl} mL misted in the evening whenever the air is under the number.`}</Soft>
      <Slider
        label="Misted when under"
        words={pct(number)}
        value={number}
        min={40}
        max={95}
        step={1}
        onChange={setNumber}
      />
      {answers === null ? (
        <Body>Working it out.</Body>
      ) : (
        <View style={styles.both}>
          {answers.map((answer) => (
            <School key={answer.regime} answer={answer} band={humidityPct} />
          ))}
        </View>
      )}
    </View>
  );
}

function School({ answer, band }: { answer: RegimeAnswer; band: { min: number; max: number } }) {
  const styles = useStyles();
  const { theme } = useTheme();
  const { course, inBandPct, staleAir } = answer.forecast;
  const points = Array.from(course.relativeHumidityPct, (value, hour) => [hour / 24, value] as const);
  const lines = [
    `in its band ${pct(inBandPct ?? 0)} of the time`,
    `swings by ${Math.round(answer.humiditySwingPct)} points`,
    answer.mistingsPerWeek > 0 ? `misted ${answer.mistingsPerWeek.toFixed(1)} times a week` : 'never misted',
    `${Math.round(answer.waterMlPerWeek)} mL a week`,
    `walls and air wet ${pct(answer.wetHoursPct)} of the time`,
    STALE_WORDS[staleAir].title.toLowerCase(),
  ];
  return (
    <View style={styles.one}>
      <Strong>{TITLES[answer.regime]}</Strong>
      <LineChart
        label={`${TITLES[answer.regime]}: ${lines.join('; ')}.`}
        height={120}
        x={[0, DAYS]}
        y={[30, 100]}
        xTicks={[0, 10, 20]}
        xTick={(day) => `day ${Math.round(day)}`}
        yTick={(value) => `${value} %`}
        band={band}
        lines={[{ name: 'humidity', points, color: theme.colors.dew, width: 1.8 }]}
      />
      {lines.map((each) => (
        <Soft key={each}>{each}</Soft>
      ))}
    </View>
  );
}

const useStyles = makeStyles(() => ({
  both: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l },
  one: { flexGrow: 1, flexShrink: 1, flexBasis: 230, gap: space.hair },
}));
