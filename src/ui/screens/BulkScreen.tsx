import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { useLoadState } from '../components/LoadState';
import { LinkRow } from '../components/LinkRow';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Toggles } from '../kit/Toggles';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Title } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { quietOf } from '../residents/QuietPanel';
import { space } from '../theme/tokens';
import { leaveAloneWords } from '@/words/jobs';
import { calledWords } from '@/words/residents';

/** Many entries as one act, a shelf at a time: all are written or none, and undone as one. Lists have a page of their own. */
export function BulkScreen() {
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const head = (
    <>
      <PaneHeader back="/residents" title="Residents" />
      <Title>Many at once</Title>
      <LinkRow links={[{ title: 'Bring a list in from a sheet', onPress: () => router.push('/lists') }]} />
    </>
  );
  return <ShelfAct head={head} />;
}

const ACTS = [
  { value: 'offered', title: 'Fed', done: 'fed' },
  { value: 'eaten', title: 'All eaten', done: 'ate' },
  { value: 'watered', title: 'Dish filled', done: 'watered' },
  { value: 'damped', title: 'Soil damped', done: 'damped' },
  { value: 'misted', title: 'Misted', done: 'misted' },
  { value: 'looked', title: 'Looked at', done: 'looked at' },
] as const;
type Act = (typeof ACTS)[number]['value'];
/** What is not done to one that is left alone. */
const DISTURBS = new Set<Act>(['offered', 'eaten']);

function ShelfAct({ head }: { head: React.ReactNode }) {
  const styles = useStyles();
  const { shelves, homes, residents, round } = useHouse();
  const writeMany = useLog((log) => log.writeMany);
  const [shelfId, setShelf] = useState<string>();
  const [act, setAct] = useState<Act>('offered');
  const [left, setLeft] = useState<string[]>([]);
  const today = round?.on ?? '';
  const codeOf = (resident: Resident) => homes.find((home) => home.id === resident.homeId)?.code ?? '';
  const here = residents.filter((each) => homes.find((home) => home.id === each.homeId)?.shelfId === shelfId);
  const quiet = here.flatMap((resident) => {
    const why = DISTURBS.has(act) ? quietOf(round, resident.id) : null;
    return why ? [{ resident, why }] : [];
  });
  const open = here.filter((each) => !quiet.some(({ resident }) => resident === each));
  const chosen = open.filter((each) => !left.includes(each.id));
  const shelf = shelves.find((each) => each.id === shelfId);
  const done = ACTS.find((each) => each.value === act)?.done ?? '';
  const save = () =>
    writeMany(
      chosen.map((each) => ({ kind: act, residentId: each.id })),
      `${shelf?.name ?? ''}: ${chosen.length} ${done}.`,
    );
  return (
    <Screen
      actions={
        <Button
          grow
          disabled={chosen.length === 0}
          title={chosen.length === 0 ? 'Choose a shelf' : `Write down: ${chosen.length} ${done}`}
          onPress={() => void save()}
        />
      }
    >
      {head}
      <View style={styles.part}>
        <Heading>Which shelf</Heading>
        <Choices
          label="Shelf"
          choices={shelves.map((each) => ({ value: each.id, title: each.name }))}
          value={shelfId}
          onChange={(id) => {
            setShelf(id);
            setLeft([]);
          }}
        />
        <Heading>What was done</Heading>
        <Choices label="Act" choices={ACTS} value={act} onChange={setAct} />
        {here.length > 0 ? (
          <>
            <Heading>To whom</Heading>
            <Toggles
              label="Done to"
              choices={open.map((each) => ({ value: each.id, title: `${codeOf(each)} ${calledWords(each)}` }))}
              values={chosen.map((each) => each.id)}
              onChange={(ids) => setLeft(open.filter((each) => !ids.includes(each.id)).map((each) => each.id))}
            />
          </>
        ) : null}
        <Cautions who={chosen} before="open" />
        {shelfId !== undefined && here.length === 0 ? <Body>Nobody lives on that shelf.</Body> : null}
        {quiet.map(({ resident, why }) => (
          <Soft key={resident.id}>
            {`Left alone: ${codeOf(resident)} ${calledWords(resident)}, ${leaveAloneWords(why, today)}.`}
          </Soft>
        ))}
      </View>
    </Screen>
  );
}

const useStyles = makeStyles(() => ({
  part: { gap: space.m, marginTop: space.l },
}));
