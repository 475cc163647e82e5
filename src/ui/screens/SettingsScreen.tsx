import { router } from 'expo-router';
import { View } from 'react-native';
import { usePreferences } from '@/client/preferences';
import { Choices } from '../components/Choices';
import { Field } from '../components/Field';
import { ListRow } from '../components/ListRow';
import { Screen } from '../components/Screen';
import { Heading, Soft, Strong, Title } from '../components/Words';
import { space } from '../theme/tokens';

/** What belongs to this phone: its unit, its colours, and whose it is. */
export function SettingsScreen() {
  const { look, lengthUnit, temperatureUnit, keeper, set } = usePreferences();
  return (
    <Screen>
      <Title>Settings</Title>
      <Soft>Kept on this device.</Soft>
      <View style={{ gap: space.m, marginTop: space.l }}>
        <Heading>Lengths</Heading>
        <Choices
          label="Unit of length"
          choices={[
            { value: 'mm', title: 'mm' },
            { value: 'cm', title: 'cm' },
            { value: 'in', title: 'inches' },
          ]}
          value={lengthUnit}
          onChange={(unit) => set({ lengthUnit: unit })}
        />
        <Heading>Temperatures</Heading>
        <Choices
          label="Unit of temperature"
          choices={[
            { value: 'C', title: 'Celsius' },
            { value: 'F', title: 'Fahrenheit' },
          ]}
          value={temperatureUnit}
          onChange={(unit) => set({ temperatureUnit: unit })}
        />
        <Heading>Colours</Heading>
        <Choices
          label="Colours"
          choices={[
            { value: 'day', title: 'day' },
            { value: 'night', title: 'night round' },
          ]}
          value={look}
          onChange={(chosen) => set({ look: chosen })}
        />
        <Soft>
          The night round is black with deep red ink: nothing white or blue that would disturb nocturnal animals.
        </Soft>
        <Field
          label="Who you are"
          value={keeper}
          onChange={(name) => set({ keeper: name.slice(0, 60) })}
          hint="Written beside everything you log from this device."
        />
        <Heading>The house</Heading>
        <ListRow label="Care profiles" onPress={() => router.push('/profiles')}>
          <Strong>Care profiles</Strong>
          <Soft>The rules of every kind, and your own; import and save as files.</Soft>
        </ListRow>
        <ListRow label="Rooms and probes" onPress={() => router.push('/probes')}>
          <Strong>Rooms and probes</Strong>
          <Soft>The air of each room, sensors and their tokens, files of loggers.</Soft>
        </ListRow>
      </View>
    </Screen>
  );
}
