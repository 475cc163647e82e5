import { useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { View } from 'react-native';
import { heatCautions } from '@/core/climate/heat';
import type { CareProfile } from '@/core/profiles/profile';
import { Choices } from '../kit/Choices';
import { Switch } from '../kit/Switch';
import { StatusMark } from '../components/StatusMark';
import { Body, Heading } from '../components/Words';
import { numberCheck } from '../forms/checks';
import { FormField } from '../forms/FormField';
import { space } from '../theme/tokens';
import { HEAT_WORDS, heatCautionWords } from '@/words/air';
import { useTemperature } from '@/words/temperature';
import { readHeat } from './reading';
import type { HomeValues } from './values';

interface Props {
  control: Control<HomeValues>;
  setValue: UseFormSetValue<HomeValues>;
  /** Who lives there, as far as known, and how warm the room is. C */
  profiles: CareProfile[];
  roomC: number;
}

/** Warmth that is added to a box, with what is to be minded there and then. */
export function HeatFields({ control, setValue, profiles, roomC }: Props) {
  const temperature = useTemperature();
  const [heatSource, hasThermostat, warming] = useWatch({
    control,
    name: ['heatSource', 'hasThermostat', 'warming'],
  });
  const heat = readHeat({ heatSource, hasThermostat, warming }, temperature.unit);
  const tenants = profiles.length > 0 ? profiles : [undefined];
  const cautions = heat ? tenants.flatMap((profile) => heatCautions(heat, profile, roomC)) : [];
  const shown = cautions.filter((each, index) => cautions.findIndex(({ code }) => code === each.code) === index);
  return (
    <View style={{ gap: space.m }}>
      <Heading>Heat</Heading>
      <Choices
        isNamedAbove
        label="Heat"
        choices={[{ value: '' as const, title: 'none' }, ...HEAT_WORDS]}
        value={heatSource}
        onChange={(value) => setValue('heatSource', value)}
      />
      {heatSource !== '' ? (
        <>
          <Switch label="On a thermostat" value={hasThermostat} onChange={(isOn) => setValue('hasThermostat', isOn)} />
          <FormField
            control={control}
            name="warming"
            label={`Warmer than the room by, ${temperature.unit}`}
            hint="Measured on the warm side, less the room."
            keyboard="decimal-pad"
            check={numberCheck(0, temperature.unit === 'F' ? 36 : 20)}
          />
          {shown.map((caution) => (
            <View key={caution.code} style={{ flexDirection: 'row', gap: space.s, alignItems: 'flex-start' }}>
              <StatusMark status={caution.status} />
              <Body style={{ flex: 1 }}>{heatCautionWords(caution, temperature)}</Body>
            </View>
          ))}
        </>
      ) : null}
    </View>
  );
}
