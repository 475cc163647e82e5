import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { placesIn, type PlaceInHome } from '@/core/readings/places';
import { FEELS, type Feel } from '@/core/substrate/wetness';
import { Button } from '../kit/Button';
import { Soft } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';
import { withoutUndefined } from '@/core/withoutUndefined';
import { orEmpty } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { FEEL_WORDS } from '@/words/home';
import { useTemperature } from '@/words/temperature';

const TITLES: Record<Place, string> = {
  air: 'its air',
  cool: 'cool side',
  warm: 'warm side',
  nest: 'a chamber',
  outworld: 'the outworld',
  scale: 'weight',
  soil: 'soil by hand',
};
type Place = PlaceInHome | 'scale' | 'soil';

interface Values {
  place: Place;
  temperatureC: string;
  relativeHumidityPct: string;
  massG: string;
}
const START: Values = { place: 'air', temperatureC: '', relativeHumidityPct: '', massG: '' };

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
  const places: Place[] = [...placesIn(home), 'scale', ...(residentId && !home.nest ? (['soil'] as const) : [])];
  const form = useFields<Values>({ ...START, place: placesIn(home)[0] ?? 'air' });
  const { control } = form;
  const { place } = form.values;
  const feel = async (each: Feel) => {
    if (
      residentId &&
      (await write({ kind: 'felt', residentId, wetness: each }, `${home.code}: soil felt, ${FEEL_WORDS[each]}.`))
    ) {
      await onDone();
    }
  };
  // On a surface nothing is asked of the air: what was typed before is not sent unseen.
  const percentOf = (typed: Values) => (hasHumidity(typed.place) ? typed.relativeHumidityPct.trim() : '');
  const temperatureCheck = (text: string) =>
    text.trim() === ''
      ? percentOf(form.getValues()) !== '' || 'Write what you read.'
      : temperature.parse(text) !== undefined || 'A number of degrees.';
  const save = async (typed: Values) => {
    if (typed.place === 'soil') return;
    const read =
      typed.place === 'scale'
        ? { massG: numberIn(typed.massG) }
        : {
            temperatureC: temperature.parse(typed.temperatureC),
            relativeHumidityPct: numberIn(percentOf(typed)),
          };
    await call('readHome', { params: { id: home.id }, body: { place: typed.place, ...withoutUndefined(read) } });
    form.reset({ ...START, place: typed.place });
    show({ text: `${home.code}: written down.` });
    await Promise.all([load(), onDone()]);
  };
  const where = (
    <FormChoices
      control={control}
      name="place"
      label="Read where"
      choices={places.map((value) => ({ value, title: TITLES[value] }))}
      onChosen={() => form.clearErrors()}
    />
  );
  if (place === 'soil') {
    return (
      <View style={{ gap: space.m }}>
        {where}
        <Soft>Squeeze a handful from the damp end. What it does says how wet it is.</Soft>
        {FEELS.map((each) => (
          <Button key={each} rank="second" title={FEEL_WORDS[each]} onPress={() => void feel(each)} />
        ))}
      </View>
    );
  }
  return (
    <Form form={form} act={place === 'scale' ? 'Write the weight down' : 'Write it down'} save={save}>
      {where}
      {place === 'scale' ? (
        <FormField
          control={control}
          name="massG"
          label="Weight of the box, g"
          check={(text) => numberIn(text) !== undefined || 'A number of grams.'}
          hint="Lid on, nothing put in or taken out since the last time: what it lost is water."
          keyboard="decimal-pad"
        />
      ) : (
        <FormField
          control={control}
          name="temperatureC"
          label={`Temperature, ${temperature.unit}`}
          check={temperatureCheck}
          keyboard="decimal-pad"
        />
      )}
      {hasHumidity(place) ? (
        <FormField
          control={control}
          name="relativeHumidityPct"
          label="Humidity, %"
          check={orEmpty((text) => numberIn(text) !== undefined || 'A number from 0 to 100.')}
          hint="Dial gauges lie by ten and more: a cheap electronic one is better."
          keyboard="decimal-pad"
        />
      ) : null}
      {place === 'warm' ? <Soft>A spot thermometer on the surface where the animal sits.</Soft> : null}
    </Form>
  );
}

const hasHumidity = (place: Place) => place !== 'warm' && place !== 'scale' && place !== 'soil';
