import { router } from 'expo-router';
import { call } from '@/client/api';
import { fitOf } from '@/client/fitting';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { ListRow } from '../components/ListRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD } from '../components/StatusMark';
import { Name, Soft, Strong, Title } from '../components/Words';
import { NobodyHere } from '../residents/NobodyHere';
import { SchoolChoices } from '../residents/SchoolChoices';
import { space } from '../theme/tokens';
import { calledWords } from '../words/residents';

/** By which profile, and in which school, one resident is kept; what its home is worth under each is shown beside it. */
export function KeptAsScreen({ residentId }: { residentId: string }) {
  const { residents, homes, care, ownProfiles, load } = useHouse();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const resident = residents.find((each) => each.id === residentId);
  const home = homes.find((each) => each.id === resident?.homeId);
  if (!resident || !home) return <NobodyHere />;
  const present = care.of(resident);
  const fitting = care.profiles.filter(
    ({ group, stages, measure }) =>
      group === present.group && stages.includes(resident.stage) && measure.takes === present.measure.takes,
  );
  const change = async (body: { profile: string }, text: string) => {
    try {
      await call('changeResident', { params: { id: resident.id }, body });
      await load();
      show({ text });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const under = (kept: Partial<Resident>) => fitOf(care, home, { ...resident, ...kept }).verdict;
  return (
    <Screen>
      <PaneHeader back={`/residents/${resident.id}`} title="Back" />
      <Title>Kept as</Title>
      <Name>{resident.scientificName}</Name>
      <Soft>{`${calledWords(resident)}, in ${home.code}. Beside each profile: what its home is worth under it.`}</Soft>
      {fitting.map(({ id, name }) => {
        const verdict = under({ profile: id });
        return (
          <ListRow
            key={id}
            label={`${name}, ${STATUS_WORD[verdict]}`}
            isChosen={id === resident.profile}
            onPress={() => void change({ profile: id }, `${calledWords(resident)}: kept as ${name}.`)}
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
      <SchoolChoices resident={resident} home={home} />
      <Soft style={{ marginTop: space.l }}>Profiles are copied and changed under More, Care profiles.</Soft>
      <ListRow label="Care profiles" onPress={() => router.push('/profiles')}>
        <Strong>Care profiles</Strong>
      </ListRow>
    </Screen>
  );
}
