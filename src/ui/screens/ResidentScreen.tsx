import { router } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { fitOf, sectionOf } from '@/client/fitting';
import { useGone } from '@/client/gone';
import { useHouse } from '@/client/house';
import type { GoneResident, Home, Resident } from '@/contract/records';
import { Button } from '../components/Button';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { LargeName, Soft, Strong } from '../components/Words';
import { NobodyHere } from '../residents/NobodyHere';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { Cautions } from '../residents/Cautions';
import { QuietPanel } from '../residents/QuietPanel';
import { goToWriteDown } from '../residents/writeDown';
import { space } from '../theme/tokens';
import { dayWords } from '../words/days';
import { calledWords, leftWords, lifeWords } from '../words/residents';
import { useLength } from '../words/useLength';
import { ResidentRecord } from '../residents/ResidentRecord';

/** One animal: who it is, how it lives, what can be written down, and its history. */
export function ResidentScreen({ id }: { id: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === id));
  const home = useHouse((house) => house.homes.find((each) => each.id === resident?.homeId));
  const loading = useLoadState();
  const { gone, load } = useGone();
  const isMissing = !loading && !resident;
  useEffect(() => {
    if (isMissing) void load().catch(() => undefined);
  }, [isMissing, load]);
  if (loading) return <Screen>{loading}</Screen>;
  const left = gone.find((each) => each.id === id);
  if (!resident && left) return <GonePane resident={left} />;
  if (!resident || !home) return <NobodyHere />;
  return <ResidentPane resident={resident} home={home} />;
}

function ResidentPane({ resident, home }: { resident: Resident; home: Home }) {
  const styles = useStyles();
  const length = useLength();
  const { round, shelves, care } = useHouse();
  const fit = fitOf(care, home, resident);
  const shelf = shelves.find((each) => each.id === home.shelfId);
  const today = round?.on ?? resident.takenInOn;
  return (
    <Screen
      actions={
        <>
          <Button grow rank="second" title={`Home ${home.code}`} onPress={() => router.push(`/homes/${home.id}`)} />
          <Button grow title="New entry" onPress={goToWriteDown} />
        </>
      }
    >
      <PaneHeader back="/residents" title="Residents" />
      <Soft>{`${shelf?.name ?? ''}, ${home.code}`}</Soft>
      <LargeName>{resident.scientificName}</LargeName>
      <Soft>{[resident.commonName, resident.called].filter((word) => word !== null).join(', ')}</Soft>
      <Strong>{lifeWords(resident, length)}</Strong>
      <LinkRow
        links={[
          {
            title: `Kept as ${care.of(resident).name.toLowerCase()}`,
            onPress: () => router.push(`/residents/${resident.id}/care`),
          },
          { title: 'Feeding', onPress: () => router.push(`/residents/${resident.id}/feeding`) },
          { title: 'Other boxes', onPress: () => router.push(`/residents/${resident.id}/boxes`) },
          { title: 'Compare boxes', onPress: () => router.push(`/residents/${resident.id}/compare`) },
          {
            title: 'Care card',
            onPress: () => router.push(`/handbook/${encodeURIComponent(resident.scientificName)}`),
          },
          { title: 'Something wrong', onPress: () => router.push(`/residents/${resident.id}/trouble`) },
          { title: 'Papers', onPress: () => router.push(`/residents/${resident.id}/papers`) },
        ]}
      />
      <Soft>{`measured ${dayWords(resident.measuredOn, today)}, here since ${dayWords(resident.takenInOn, today)}`}</Soft>
      <QuietPanel residentId={resident.id} />
      <View style={styles.verdict}>
        <StatusMark status={fit.verdict} />
        <Strong>{`${home.code}: ${STATUS_WORD[fit.verdict].toLowerCase()}`}</Strong>
      </View>
      <MeasuredSection
        plan={sectionOf(care, home, resident)}
        fit={fit}
        subject={`${home.code}, ${calledWords(resident)}`}
      />
      <Cautions who={resident} />
      <ResidentRecord resident={resident} today={today} isHere />
    </Screen>
  );
}

/** One that has left: who it was, and its record. */
function GonePane({ resident }: { resident: GoneResident }) {
  const length = useLength();
  const today = useHouse((house) => house.round?.on ?? resident.leftOn);
  return (
    <Screen>
      <PaneHeader back="/residents" title="Residents" />
      <LargeName>{resident.scientificName}</LargeName>
      <Soft>{[resident.commonName, resident.called].filter((word) => word !== null).join(', ')}</Soft>
      <Strong>{`It ${leftWords(resident, today)}.`}</Strong>
      <Soft>{`${lifeWords(resident, length)}, here from ${dayWords(resident.takenInOn, today)}`}</Soft>
      <Soft>Undo its leaving in the history below if that was wrong.</Soft>
      <ResidentRecord resident={resident} today={today} isHere={false} />
    </Screen>
  );
}

const useStyles = makeStyles(() => ({
  verdict: { flexDirection: 'row', alignItems: 'center', gap: space.s, paddingTop: space.l },
}));
