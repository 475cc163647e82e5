import { router } from 'expo-router';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Resident } from '@/contract/records';
import { isSized } from '@/core/profiles/animal';
import { LinkRow } from '../components/LinkRow';
import { space } from '../theme/tokens';
import { stillTitle } from '@/words/still';
import { BodyMeasures } from './BodyMeasures';
import { ColonyAhead } from './ColonyAhead';
import { EggsAhead } from './EggsAhead';
import { FlightAhead } from './FlightAhead';
import { GroupHeads } from './GroupHeads';
import { Kin } from './Kin';
import { NextMoult } from './NextMoult';

/** What it grows to, and out of: moults, heads, brood; its measures and its kin. */
export function GrowthTab({ resident, today }: { resident: Resident; today: string }) {
  const { id, form } = resident;
  const profile = useHouse((house) => house.care).of(resident);
  return (
    <View>
      {form === 'eggs' ? <EggsAhead resident={resident} /> : <FlightAhead resident={resident} />}
      {form === 'eggs' || form === 'colony' ? null : <NextMoult resident={resident} />}
      {form === 'group' && isSized(resident) ? <GroupHeads resident={resident} /> : null}
      {form === 'group' || form === 'colony' ? <ColonyAhead resident={resident} /> : null}
      <View style={{ marginTop: space.m }}>
        <LinkRow
          links={[
            { title: 'Other boxes', onPress: () => router.push(`/residents/${id}/boxes`) },
            { title: 'Compare boxes', onPress: () => router.push(`/residents/${id}/compare`) },
            ...(form === 'eggs'
              ? []
              : [{ title: stillTitle(profile, resident.stage), onPress: () => router.push(`/residents/${id}/still`) }]),
          ]}
        />
      </View>
      <View style={{ marginTop: space.xl }}>
        <BodyMeasures resident={resident} />
        <Kin resident={resident} today={today} />
      </View>
    </View>
  );
}
