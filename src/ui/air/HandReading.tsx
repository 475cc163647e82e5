import { useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { FEELS, type Feel } from '@/core/substrate/wetness';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { Soft } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';
import { space } from '../theme/tokens';
import { FEEL_WORDS } from '@/words/home';
import { useTemperature } from '@/words/temperature';

const PLACES = [
  { value: 'air', title: 'its air' },
  { value: 'cool', title: 'cool side' },
  { value: 'warm', title: 'warm side' },
  { value: 'scale', title: 'weight' },
  { value: 'soil', title: 'soil by hand' },
] as const;
type Place = (typeof PLACES)[number]['value'];

/** What was read by hand: a thermometer, a hygrometer, the kitchen scale, or a squeezed handful. */
export function HandReading({
  home,
  residentId,
  onDone,
}: {
  home: Home;
  residentId?: string | undefined;
  onDone: () => Promise<void>;
}) {
  const temperature = useTemperature();
  const { show, write } = useLog();
  const load = useHouse((house) => house.load);
  const [place, setPlace] = useState<Place>('air');
  const [typed, setTyped] = useState({ temperature: '', humidity: '', mass: '' });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const type = (field: keyof typeof typed) => (text: string) => setTyped((before) => ({ ...before, [field]: text }));

  const feel = async (each: Feel) => {
    if (
      residentId &&
      (await write({ kind: 'felt', residentId, wetness: each }, `${home.code}: soil felt, ${FEEL_WORDS[each]}.`))
    ) {
      await onDone();
    }
  };
  const save = async () => {
    const read = readTyped(place, typed, temperature.parse);
    if ('problems' in read) return setProblems(read.problems);
    try {
      await call('readHome', { params: { id: home.id }, body: read.body });
      setTyped({ temperature: '', humidity: '', mass: '' });
      setProblems({});
      show({ text: `${home.code}: written down.` });
      await Promise.all([load(), onDone()]);
    } catch (error) {
      if (error instanceof CallFailed) {
        setProblems(Object.fromEntries(error.fields.map(({ path, message }) => [FIELD_OF[path] ?? path, message])));
      }
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={{ gap: space.m }}>
      <Choices
        label="Read where"
        choices={PLACES.filter(({ value }) => value !== 'soil' || residentId !== undefined)}
        value={place}
        onChange={(chosen) => {
          setPlace(chosen);
          setProblems({});
        }}
      />
      {place === 'soil' ? (
        <>
          <Soft>Squeeze a handful from the damp end. What it does says how wet it is.</Soft>
          {FEELS.map((each) => (
            <Button key={each} rank="second" title={FEEL_WORDS[each]} onPress={() => void feel(each)} />
          ))}
        </>
      ) : place === 'scale' ? (
        <>
          <Field
            label="Weight of the box, g"
            value={typed.mass}
            onChange={type('mass')}
            problem={problems.mass}
            hint="Lid on, nothing put in or taken out since the last time: what it lost is water."
            keyboard="decimal-pad"
          />
          <Button title="Write the weight down" onPress={() => void save()} />
        </>
      ) : (
        <>
          <Field
            label={`Temperature, ${temperature.unit}`}
            value={typed.temperature}
            onChange={type('temperature')}
            problem={problems.temperature}
            keyboard="decimal-pad"
          />
          {hasHumidity(place) ? (
            <Field
              label="Humidity, %"
              value={typed.humidity}
              onChange={type('humidity')}
              problem={problems.humidity}
              hint="Dial gauges lie by ten and more: a cheap electronic one is better."
              keyboard="decimal-pad"
            />
          ) : (
            <Soft>A spot thermometer on the surface where the animal sits.</Soft>
          )}
          <Button title="Write it down" onPress={() => void save()} />
        </>
      )}
    </View>
  );
}

const FIELD_OF: Record<string, string> = {
  temperatureC: 'temperature',
  relativeHumidityPct: 'humidity',
  massG: 'mass',
};

const hasHumidity = (place: Place) => place === 'air' || place === 'cool';

type Typed = { temperature: string; humidity: string; mass: string };
type Body = Parameters<typeof call<'readHome'>>[1]['body'];

function readTyped(
  place: Exclude<Place, 'soil'> | 'soil',
  typed: Typed,
  celsius: (text: string) => number | undefined,
): { body: Body } | { problems: Record<string, string> } {
  if (place === 'soil') return { problems: {} };
  if (place === 'scale') {
    const massG = numberIn(typed.mass);
    return massG === undefined ? { problems: { mass: 'A number of grams.' } } : { body: { place, massG } };
  }
  const degrees = typed.temperature.trim();
  // On a surface nothing is asked of the air: what was typed before is not sent unseen.
  const percent = hasHumidity(place) ? typed.humidity.trim() : '';
  const temperatureC = degrees === '' ? undefined : celsius(degrees);
  const relativeHumidityPct = percent === '' ? undefined : numberIn(percent);
  const problems = {
    ...(degrees !== '' && temperatureC === undefined && { temperature: 'A number of degrees.' }),
    ...(percent !== '' && relativeHumidityPct === undefined && { humidity: 'A number from 0 to 100.' }),
    ...(degrees === '' && percent === '' && { temperature: 'Write what you read.' }),
  };
  if (Object.keys(problems).length > 0) return { problems };
  return {
    body: {
      place,
      ...(temperatureC !== undefined && { temperatureC }),
      ...(relativeHumidityPct !== undefined && { relativeHumidityPct }),
    },
  };
}
