import { router } from 'expo-router';
import { View } from 'react-native';
import type { Resident } from '@/contract/records';
import { LinkRow } from '../components/LinkRow';
import { space } from '../theme/tokens';
import { BodyMeasures } from './BodyMeasures';
import { ColonyAhead } from './ColonyAhead';
import { EggsAhead } from './EggsAhead';
import { GroupHeads } from './GroupHeads';
import { History } from './History';
import { Kin } from './Kin';
import { NextMoult } from './NextMoult';
import { NoteDown } from './NoteDown';

/** What is known of one resident and can be written down, with its history; of one that has left, its record alone. */
export function ResidentRecord({ resident, today, isHere }: { resident: Resident; today: string; isHere: boolean }) {
  return (
    <View>
      {isHere ? (
        <>
          {resident.form === 'eggs' ? <EggsAhead key={`eggs ${resident.id}`} resident={resident} /> : null}
          {resident.form === 'eggs' || resident.form === 'colony' ? null : (
            <NextMoult key={`moult ${resident.id}`} resident={resident} />
          )}
          {resident.form === 'group' ? <GroupHeads key={`heads ${resident.id}`} resident={resident} /> : null}
          {resident.form === 'group' || resident.form === 'colony' ? (
            <ColonyAhead key={`ahead ${resident.id}`} resident={resident} />
          ) : null}
          {resident.form === 'eggs' ? null : (
            <View style={{ marginTop: space.m }}>
              <LinkRow
                links={[{ title: 'Dead or moulting?', onPress: () => router.push(`/residents/${resident.id}/still`) }]}
              />
            </View>
          )}
          <NoteDown resident={resident} />
          <View style={{ marginTop: space.xl }}>
            <BodyMeasures resident={resident} />
            <Kin resident={resident} today={today} />
          </View>
        </>
      ) : (
        <View style={{ marginTop: space.l }}>
          <Kin resident={resident} today={today} />
        </View>
      )}
      <History residentId={resident.id} today={today} />
    </View>
  );
}
