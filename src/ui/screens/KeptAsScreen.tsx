import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { fitOf } from '@/client/fitting';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { carriedOver } from '@/core/profiles/otherKind';
import { ListRow } from '../kit/ListRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD } from '../components/StatusMark';
import { Heading, Name, Soft, Strong, Title } from '../components/Words';
import { NobodyHere } from '../residents/NobodyHere';
import { SchoolChoices } from '../residents/SchoolChoices';
import { space } from '../theme/tokens';
import { byGroup } from '@/words/profiles';
import { calledWords } from '@/words/residents';
import { useLength } from '@/words/useLength';

/** By which profile, and in which school, one resident is kept; what its home is worth under each is shown beside it. */
export function KeptAsScreen({ residentId }: { residentId: string }) {
  const { residents, homes, care, ownProfiles, load } = useHouse();
  const show = useLog((log) => log.show);
  const length = useLength();
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const resident = residents.find((each) => each.id === residentId);
  const home = homes.find((each) => each.id === resident?.homeId);
  if (!resident || !home) return <NobodyHere />;
  const present = care.of(resident);
  const groups = byGroup(care.profiles);
  // Its relatives first: most often it is one of these.
  const ordered = [
    ...groups.filter(({ group }) => group === present.group),
    ...groups.filter(({ group }) => group !== present.group),
  ];
  const under = (profile: string) => ({
    ...resident,
    ...carriedOver(present, care.of({ ...resident, profile }), resident),
    profile,
  });
  const change = async (body: { profile: string }, text: string) => {
    try {
      await call('changeResident', { params: { id: resident.id }, body });
      await load();
      show({ text });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const saying = (id: string, name: string) => {
    const { stage, [care.of(under(id)).measure.takes]: sizeMm } = under(id);
    const isOther = stage !== resident.stage || sizeMm !== resident[care.of(under(id)).measure.takes];
    const carried = [stage, sizeMm === undefined ? null : length.long(sizeMm)].filter((part) => part !== null);
    return `${calledWords(resident)}: kept as ${name}${isOther ? `, as ${carried.join(' of ')}. Measure it to be sure` : ''}.`;
  };
  return (
    <Screen>
      <PaneHeader back={`/residents/${resident.id}`} title="Back" />
      <Title>Kept as</Title>
      <Name>{resident.scientificName}</Name>
      <Soft>{`${calledWords(resident)}, in ${home.code}. Beside each profile: what its home is worth under it.`}</Soft>
      {ordered.map(({ group, members }) => (
        <View key={group} style={{ marginTop: space.l }}>
          <Heading>{group}</Heading>
          {members.map(({ id, name }) => {
            const { verdict } = fitOf(care, home, under(id));
            return (
              <ListRow
                key={id}
                label={`${name}, ${STATUS_WORD[verdict]}`}
                isChosen={id === resident.profile}
                onPress={() => void change({ profile: id }, saying(id, name))}
                right={<StatusMark status={verdict} />}
              >
                <Strong>{name}</Strong>
                <Soft>
                  {[id === resident.profile ? 'now' : null, ownProfiles.includes(id) ? 'your own' : null]
                    .filter((word) => word !== null)
                    .join(', ')}
                </Soft>
              </ListRow>
            );
          })}
        </View>
      ))}
      <SchoolChoices resident={resident} home={home} />
      <Soft style={{ marginTop: space.l }}>Profiles are copied and changed under More, Care profiles.</Soft>
      <ListRow label="Care profiles" onPress={() => router.push('/profiles')}>
        <Strong>Care profiles</Strong>
      </ListRow>
    </Screen>
  );
}
