import { router } from 'expo-router';
import { useState } from 'react';
import { Linking, View } from 'react-native';
import { useAccess, useMay } from '@/client/access';
import { useHouse } from '@/client/house';
import { installPrompt } from '@/client/installPrompt';
import { usePreferences } from '@/client/preferences';
import { Field } from '../kit/Field';
import { ListRow } from '../kit/ListRow';
import { Screen } from '../components/Screen';
import { Setting } from '../components/Setting';
import { Heading, Soft, Strong, Title } from '../components/Words';
import { space } from '../theme/tokens';

/** The page that shows the API, beside the app: `public/reference`. */
const REFERENCE = '/reference/index.html';

/** The last door: the handbook and what is set up once; below it what belongs to this phone, and where the house stands. */
export function SettingsScreen() {
  const { look, lengthUnit, temperatureUnit, keeper, set } = usePreferences();
  const hemisphere = useHouse((house) => house.hemisphere);
  const isSignedIn = useAccess(({ access }) => access?.state === 'signed-in');
  const [install, setInstall] = useState(() => installPrompt());
  const isKeeper = useMay('keeper');
  const standIn = useHouse((house) => house.standIn);
  return (
    <Screen>
      <Title>More</Title>
      <View>
        <ListRow label="Handbook" onPress={() => router.push('/handbook')}>
          <Strong>Handbook</Strong>
          <Soft>Care cards by any name, schools, the trainer for new helpers.</Soft>
        </ListRow>
        <ListRow label="Emergency card" onPress={() => router.push('/handbook/emergency')}>
          <Strong>Emergency card</Strong>
          <Soft>Whom to call, and who here can hurt.</Soft>
        </ListRow>
        <ListRow label="Keepers" onPress={() => router.push('/keepers')}>
          <Strong>Keepers</Strong>
          <Soft>Who walks which rooms and when, calendars, days without time.</Soft>
        </ListRow>
        <ListRow label="People" onPress={() => router.push('/people')}>
          <Strong>People</Strong>
          <Soft>Who may come in and as what, their phones, and who was here.</Soft>
        </ListRow>
        <ListRow label="Care profiles" onPress={() => router.push('/profiles')}>
          <Strong>Care profiles</Strong>
          <Soft>The rules of every kind, and your own; import and save as files.</Soft>
        </ListRow>
        <ListRow label="Rooms and probes" onPress={() => router.push('/probes')}>
          <Strong>Rooms and probes</Strong>
          <Soft>The air of each room, sensors and their tokens, files of loggers.</Soft>
        </ListRow>
        <ListRow label="Labels" onPress={() => router.push('/labels')}>
          <Strong>Labels</Strong>
          <Soft>For boxes, with a code that the camera reads: on sheets, or on the label printer.</Soft>
        </ListRow>
        <ListRow label="On paper" onPress={() => router.push('/paper')}>
          <Strong>On paper</Strong>
          <Soft>Round, shelf list, cards and records to print, for a helper without a phone.</Soft>
        </ListRow>
        {isKeeper ? (
          <ListRow label="Backup" onPress={() => router.push('/backup')}>
            <Strong>Backup</Strong>
            <Soft>The whole house as one file: saved, kept every day, brought in again.</Soft>
          </ListRow>
        ) : null}
        <ListRow label="How true the forecasts came" onPress={() => router.push('/scores')}>
          <Strong>How true the forecasts came</Strong>
          <Soft>How often windows held in this house, and what was learned from it.</Soft>
        </ListRow>
        {install ? (
          <ListRow label="Put it among your apps" onPress={() => void install().then(() => setInstall(undefined))}>
            <Strong>Put it among your apps</Strong>
            <Soft>Opens from its own icon, in a window of its own, also while the server is away.</Soft>
          </ListRow>
        ) : null}
        <ListRow label="For scripts" onPress={() => void Linking.openURL(REFERENCE)}>
          <Strong>For scripts</Strong>
          <Soft>Every address of this house, with its fields and an example to try.</Soft>
        </ListRow>
        <ListRow label="Licences" onPress={() => void Linking.openURL('/licences.txt')}>
          <Strong>Licences</Strong>
          <Soft>Of this program, of its fonts, and of all that it is made with.</Soft>
        </ListRow>
      </View>
      <Heading style={{ marginTop: space.xl }}>Settings</Heading>
      <Soft>Kept on this device, but for where the house stands.</Soft>
      <View style={{ gap: space.m, marginTop: space.m }}>
        <Setting
          title="Lengths"
          label="Unit of length"
          choices={{ mm: 'mm', cm: 'cm', in: 'inches' }}
          value={lengthUnit}
          onChange={(unit) => set({ lengthUnit: unit })}
        />
        <Setting
          title="Temperatures"
          label="Unit of temperature"
          choices={{ C: 'Celsius', F: 'Fahrenheit' }}
          value={temperatureUnit}
          onChange={(unit) => set({ temperatureUnit: unit })}
        />
        <Setting
          title="Colours"
          label="Colours"
          choices={{ day: 'day', night: 'night round' }}
          value={look}
          onChange={(chosen) => set({ look: chosen })}
        />
        <Soft>
          The night round is black with deep red ink: nothing white or blue that would disturb nocturnal animals.
        </Soft>
        {isSignedIn ? null : (
          <Field
            label="Who you are"
            value={keeper}
            onChange={(name) => set({ keeper: name.slice(0, 60) })}
            hint="Written beside everything you log from this device."
          />
        )}
        <Setting
          title="The house"
          label="Where the house stands"
          choices={{ north: 'in the northern half of the world', south: 'in the southern half' }}
          value={hemisphere}
          onChange={(half) => void standIn(half)}
        />
        <Soft>For all its keepers: the change of leaves and the winter rest follow its seasons.</Soft>
      </View>
    </Screen>
  );
}
