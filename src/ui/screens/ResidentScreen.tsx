import { router } from 'expo-router';
import { Suspense, useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { fitOf, sectionOf } from '@/client/fitting';
import { problemOf, useHouse } from '@/client/house';
import type { Entry, Home, Resident } from '@/contract/records';
import { Button } from '../components/Button';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, LargeName, Soft, Strong } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { Cautions } from '../residents/Cautions';
import { NoteDown } from '../residents/NoteDown';
import { space } from '../theme/tokens';
import { dayWords } from '../words/days';
import { entryWords } from '../words/entries';
import { leaveAloneWords } from '../words/jobs';
import { calledWords, lifeWords } from '../words/residents';
import { useLength } from '../words/useLength';
import { NextMoult } from './lazyForms';

/** One animal: who it is, how it lives, what can be written down, and its history. */
export function ResidentScreen({ id }: { id: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === id));
  const home = useHouse((house) => house.homes.find((each) => each.id === resident?.homeId));
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  if (!resident || !home) {
    return (
      <Screen>
        <PaneHeader back="/residents" title="Residents" />
        <Body>There is no animal here. It may have been an old link, or its taking in was undone.</Body>
      </Screen>
    );
  }
  return <ResidentPane resident={resident} home={home} />;
}

function ResidentPane({ resident, home }: { resident: Resident; home: Home }) {
  const styles = useStyles();
  const length = useLength();
  const { round, shelves, care, species: known } = useHouse();
  const fit = fitOf(care, home, resident);
  const quiet = round?.stops.find((stop) => stop.residentId === resident.id)?.leaveAlone;
  const shelf = shelves.find((each) => each.id === home.shelfId);
  const species = known.find((each) => each.name === resident.scientificName);
  const today = round?.on ?? resident.takenInOn;
  return (
    <Screen
      actions={
        <>
          <Button grow rank="second" title={`Home ${home.code}`} onPress={() => router.push(`/homes/${home.id}`)} />
          <Button
            grow
            rank="second"
            title="Other boxes"
            onPress={() => router.push(`/residents/${resident.id}/boxes`)}
          />
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
          { title: 'Compare boxes', onPress: () => router.push(`/residents/${resident.id}/compare`) },
        ]}
      />
      <Soft>{`measured ${dayWords(resident.measuredOn, today)}, here since ${dayWords(resident.takenInOn, today)}`}</Soft>
      <Soft>
        {[resident.source && `from ${resident.source}`, resident.permit && `permit ${resident.permit}`]
          .filter(Boolean)
          .join(', ')}
      </Soft>
      {quiet ? (
        <View style={styles.quiet}>
          <Strong>Leave alone</Strong>
          <Body>{leaveAloneWords(quiet, today)}</Body>
        </View>
      ) : null}
      <View style={styles.verdict}>
        <StatusMark status={fit.verdict} />
        <Strong>{`${home.code}: ${STATUS_WORD[fit.verdict].toLowerCase()}`}</Strong>
      </View>
      <MeasuredSection
        plan={sectionOf(care, home, resident)}
        fit={fit}
        subject={`${home.code}, ${calledWords(resident)}`}
      />
      <Suspense>
        <NextMoult resident={resident} />
      </Suspense>
      <Cautions species={species} />
      <NoteDown resident={resident} />
      <History residentId={resident.id} today={today} />
    </Screen>
  );
}

/** What was written down, newest first. */
function History({ residentId, today }: { residentId: string; today: string }) {
  const styles = useStyles();
  const length = useLength();
  // The house is loaded anew after every entry: its round tells that the history may have grown.
  const version = useHouse((house) => house.round);
  const [entries, setEntries] = useState<Entry[]>([]);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let isCurrent = true;
    call('history', { params: { id: residentId } }).then(
      (reply) => isCurrent && setEntries(reply.entries),
      (error: unknown) => isCurrent && setProblem(problemOf(error)),
    );
    return () => {
      isCurrent = false;
    };
  }, [residentId, version]);
  return (
    <View>
      <Heading style={styles.heading}>History</Heading>
      {problem !== undefined ? <Body>{problem}</Body> : null}
      {entries.map((entry) => (
        <View key={entry.id} style={styles.entry}>
          <Soft style={styles.day}>{dayWords(entry.on, today)}</Soft>
          <View style={styles.what}>
            <Body>{entryWords(entry, length)}</Body>
            {entry.keeper !== null ? <Soft>{entry.keeper}</Soft> : null}
          </View>
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  quiet: { backgroundColor: theme.colors.resting, padding: space.m, marginTop: space.m, gap: space.xs },
  verdict: { flexDirection: 'row', alignItems: 'center', gap: space.s, paddingTop: space.l },
  heading: { marginTop: space.xl, marginBottom: space.s },
  entry: {
    flexDirection: 'row',
    gap: space.m,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
  },
  day: { width: 92 },
  what: { flex: 1 },
}));
