import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import { pastedLines } from '@/client/pasted';
import type { Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark } from '../components/StatusMark';
import { Toggles } from '../kit/Toggles';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { quietOf } from '../residents/QuietPanel';
import { space } from '../theme/tokens';
import { leaveAloneWords } from '@/words/jobs';
import { calledWords } from '@/words/residents';
import { countWords } from '@/words/count';

const WAYS = [
  { value: 'shelf', title: 'A whole shelf' },
  { value: 'table', title: 'Paste a table' },
] as const;

/** Many entries as one act: a shelf at a time, or a table from a sheet. All are written or none, and undone as one. */
export function BulkScreen() {
  const [way, setWay] = useState<(typeof WAYS)[number]['value']>('shelf');
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const head = (
    <>
      <PaneHeader back="/residents" title="Residents" />
      <Title>Many at once</Title>
      <View style={{ marginTop: space.m }}>
        <Choices label="How" choices={WAYS} value={way} onChange={setWay} />
      </View>
    </>
  );
  return way === 'shelf' ? <ShelfAct head={head} /> : <PastedTable head={head} />;
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

function PastedTable({ head }: { head: React.ReactNode }) {
  const styles = useStyles();
  const house = useHouse();
  const writeMany = useLog((log) => log.writeMany);
  const [text, setText] = useState('');
  const today = house.round?.on ?? '';
  const { residents, homes, care } = house;
  const lines = useMemo(
    () => pastedLines(text, { residents, homes, care }, today),
    [text, residents, homes, care, today],
  );
  const entries = lines.flatMap((each) => each.entry ?? []);
  const problems = lines.filter((each) => each.problem !== undefined);
  const linesWords = countWords(entries.length, 'line');
  const save = async () => {
    // The server holds each line against its own kind.
    // What stands in a table has happened, also to those that were to be left alone then.
    const asked = entries.map((each) => (each.kind === 'offered' ? { ...each, insist: true } : each)) as NewEntry[];
    if (await writeMany(asked, `${linesWords} written down.`)) setText('');
  };
  const title =
    problems.length > 0
      ? `${countWords(problems.length, 'line is', 'lines are')} not clear`
      : entries.length === 0
        ? 'Paste a table first'
        : `Write down ${linesWords}`;
  return (
    <Screen
      actions={
        <Button grow disabled={entries.length === 0 || problems.length > 0} title={title} onPress={() => void save()} />
      }
    >
      {head}
      <View style={styles.part}>
        <Soft>
          From a sheet, with a first line that names the columns: box, day, what, size, note; also weight, count and
          instar. A box may be a name; what is fed, ate, refused, watered, damped, misted, moulted, measured, died or
          note. Sizes in mm.
        </Soft>
        <Field label="The table" value={text} onChange={setText} lines={7} />
        {lines.map((each) => (
          <View key={each.line} style={styles.line}>
            <StatusMark status={each.problem === undefined ? 'pass' : 'fail'} />
            <View style={styles.words}>
              <Body>{each.text}</Body>
              {each.problem !== undefined ? <Strong>{`Line ${each.line}: ${each.problem}`}</Strong> : null}
            </View>
          </View>
        ))}
      </View>
    </Screen>
  );
}

const useStyles = makeStyles((theme) => ({
  part: { gap: space.m, marginTop: space.l },
  line: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
  },
  words: { flex: 1 },
}));
