import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { bringIn, nameables, tableOf, useLists } from '@/client/lists';
import { useLog } from '@/client/log';
import { useKnownNames } from '@/client/names';
import type { BroughtList, RowProblem } from '@/contract/lists';
import { mappingOf, type Mapping } from '@/core/records/columns';
import { COLUMNS_OF, orderIn, readTable, TABLE_KINDS, tableKindOf, type TableKind } from '@/core/records/readTable';
import type { DateOrder } from '@/core/records/typedDay';
import { countWords } from '@/words/count';
import { dayWords } from '@/words/days';
import { columnWords, LIST_KIND_WORDS, listWordsOf, problemWords, rowsWords } from '@/words/lists';
import { useLength } from '@/words/useLength';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Button } from '../kit/Button';
import { useFile } from '../kit/useFile';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { ListInput } from '../kit/ListInput';
import { Progress } from '../kit/Progress';
import { space, stroke } from '../theme/tokens';

const ORDERS = [
  { value: 'dmy', title: 'day first: 14/3/2026' },
  { value: 'mdy', title: 'month first: 3/14/2026' },
] as const;
const NONE = '';
/** Rows that are shown: those that make no sense first, then the first of the others. */
const SHOWN_PROBLEMS = 50;
const SHOWN_ROWS = 8;

/** Brings lists in: boxes, residents, past events, as they stand in a sheet. All of a list or nothing, taken back as one. */
export function ListsScreen({ kind: asked }: { kind?: string | undefined }) {
  const loading = useLoadState();
  const [text, setText] = useState('');
  const [name, setName] = useState<string>();
  const [chosenKind, setKind] = useState(TABLE_KINDS.find((each) => each === asked));
  const table = useMemo(() => tableOf(text), [text]);
  const open = async (file: File) => {
    setName(file.name.slice(0, 120));
    setText(await file.text());
  };
  const { choose, input } = useFile({
    ...{ label: 'File of the list', accept: '.csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain' },
    onChoose: (file) => void open(file),
  });
  if (loading) return <Screen>{loading}</Screen>;
  const isEmpty = text.trim() === '';
  const kind = chosenKind ?? (isEmpty ? undefined : tableKindOf(table.header));
  const head = (
    <>
      <PaneHeader back="/residents" title="Residents" />
      <Title>Bring a list in</Title>
      <View style={{ gap: space.m, marginTop: space.m }}>
        <Soft>
          A table from a sheet, its first line naming the columns in any order. Boxes first, then who lives in them,
          then what has happened. All of a list comes in, or nothing of it.
        </Soft>
        <Choices label="What is in it" choices={LIST_KIND_WORDS} value={kind} onChange={setKind} />
        {input}
        <Button rank="second" title="Choose a file" onPress={choose} />
        <Field
          label="Or paste the table here"
          value={text}
          lines={isEmpty ? 6 : 3}
          onChange={(typed) => {
            setText(typed);
            setName(undefined);
          }}
        />
      </View>
    </>
  );
  if (isEmpty || !kind) {
    return (
      <Screen>
        {head}
        <Earlier />
      </Screen>
    );
  }
  return (
    <MappedList
      key={`${kind} ${table.header.join('\t')}`}
      {...{ kind, table, name, head }}
      onDone={() => setText('')}
    />
  );
}

interface MappedProps {
  kind: TableKind;
  table: ReturnType<typeof tableOf>;
  name: string | undefined;
  head: React.ReactNode;
  onDone: () => void;
}

/** One list: which column is what, what becomes of each row, and then all of it. */
function MappedList({ kind, table, name, head, onDone }: MappedProps) {
  const styles = useStyles();
  const { unit } = useLength();
  const known = useKnownNames();
  const show = useLog((log) => log.show);
  const { residents, homes, shelves, care, round, load } = useHouse();
  const loadLists = useLists((lists) => lists.load);
  const [mapping, setMapping] = useState<Mapping>(() => mappingOf(table.header, COLUMNS_OF[kind]));
  const [chosenOrder, setOrder] = useState<DateOrder>();
  const [room, setRoom] = useState(shelves[0]?.room ?? '');
  const [shelf, setShelf] = useState(shelves[0]?.name ?? '');
  const [refused, setRefused] = useState<RowProblem[]>([]);
  const [progress, setProgress] = useState<number>();
  const order = chosenOrder ?? orderIn(table, mapping);
  const missing = COLUMNS_OF[kind].filter((column) => column.isNeeded && mapping[column.name] === undefined);
  const today = round?.on ?? '';
  const named = useMemo(() => nameables(residents, homes, care), [residents, homes, care]);
  const read = useMemo(
    () =>
      readTable(kind, table, mapping, {
        ...{ care, names: known, residents: named, unit, order: order ?? 'dmy', today, room, shelf },
      }),
    [kind, table, mapping, care, known, named, unit, order, today, room, shelf],
  );
  const rows = read.flatMap((each) => each.row ?? []);
  const said = new Map(refused.map(({ row, fields }) => [row, fields]));
  const lines = read.map((each, index) => ({
    line: index + 2,
    text: (table.body[index] ?? [])
      .map((cell) => cell.trim())
      .filter(Boolean)
      .join(', '),
    notes: each.row ? each.notes : [],
    problems: each.problems
      ? each.problems.map(({ column, message }) => problemWords(kind, column, message))
      : (said.get(index) ?? []).map(({ path, message }) => problemWords(kind, path, message)),
  }));
  const wrong = lines.filter((each) => each.problems.length > 0);
  const isReady =
    missing.length === 0 && order !== null && wrong.length === 0 && rows.length > 0 && progress === undefined;

  const change = (column: string, at: string) => {
    setRefused([]);
    setMapping({ ...mapping, [column]: at === NONE ? undefined : Number(at) });
  };
  const save = async () => {
    setProgress(0);
    try {
      const reply = await bringIn(kind, name, rows, setProgress);
      if ('problems' in reply) {
        setRefused(reply.problems);
        return;
      }
      await Promise.all([load(), loadLists()]);
      show({ text: `${rowsWords(kind, rows.length)} brought in.`, action: takingBackAction(reply.listId) });
      onDone();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    } finally {
      setProgress(undefined);
    }
  };
  const title =
    missing.length > 0
      ? 'A column is missing'
      : wrong.length > 0
        ? `${countWords(wrong.length, 'row is', 'rows are')} not clear`
        : `Bring ${rowsWords(kind, rows.length)} in`;
  return (
    <Screen actions={<Button grow disabled={!isReady} title={title} onPress={() => void save()} />}>
      {head}
      <View style={styles.part}>
        {missing.map((column) => (
          <ColumnInput key={column.name} {...{ kind, table, mapping, change }} name={column.name} />
        ))}
        {kind === 'boxes' ? (
          <>
            <Field label="Room, where none is told" value={room} onChange={setRoom} />
            <Field label="Shelf, where none is told" value={shelf} onChange={setShelf} />
          </>
        ) : null}
        {orderIn(table, mapping) === null ? (
          <>
            <Heading>How its days are written</Heading>
            <Choices
              isNamedAbove
              label="How its days are written"
              choices={ORDERS}
              value={chosenOrder}
              onChange={setOrder}
            />
          </>
        ) : null}
        <Fold title="Which column is what">
          <View style={styles.part}>
            {COLUMNS_OF[kind]
              .filter((column) => !missing.includes(column))
              .map((column) => (
                <ColumnInput key={column.name} {...{ kind, table, mapping, change }} name={column.name} />
              ))}
          </View>
        </Fold>
        {progress === undefined ? null : (
          <>
            <Body role="status">{`${rowsWords(kind, rows.length)} are held against the house and written down.`}</Body>
            <Progress label="How far it has come" share={progress} />
          </>
        )}
        <Heading>What becomes of each row</Heading>
        <Soft>
          {lines.length === 0
            ? 'There are no rows under the names of the columns yet.'
            : wrong.length === 0
              ? `${rowsWords(kind, rows.length)}, all clear. They are held against the house before anything is written.`
              : `${countWords(wrong.length, 'row', 'rows')} of ${lines.length} not clear. Mend them in the sheet, and bring it in anew.`}
        </Soft>
        {wrong.slice(0, SHOWN_PROBLEMS).map((each) => (
          <Line key={each.line} {...each} />
        ))}
        {wrong.length > SHOWN_PROBLEMS ? <Soft>{`And ${wrong.length - SHOWN_PROBLEMS} more.`}</Soft> : null}
        {lines
          .filter((each) => each.problems.length === 0)
          .slice(0, SHOWN_ROWS)
          .map((each) => (
            <Line key={each.line} {...each} />
          ))}
        {rows.length > SHOWN_ROWS ? <Soft>{`And ${rows.length - SHOWN_ROWS} more that are clear.`}</Soft> : null}
      </View>
    </Screen>
  );
}

interface ColumnProps {
  kind: TableKind;
  table: ReturnType<typeof tableOf>;
  mapping: Mapping;
  change: (column: string, at: string) => void;
  name: string;
}

function ColumnInput({ kind, table, mapping, change, name }: ColumnProps) {
  return (
    <ListInput
      label={columnWords(kind, name)}
      choices={[
        { value: NONE, title: 'not in this table' },
        ...table.header.map((title, index) => ({ value: String(index), title: title.trim() || `column ${index + 1}` })),
      ]}
      value={String(mapping[name] ?? NONE)}
      onChange={(at) => change(name, at)}
    />
  );
}

interface LineProps {
  line: number;
  text: string;
  notes: string[];
  problems: string[];
}

function Line({ line, text, notes, problems }: LineProps) {
  const styles = useStyles();
  return (
    <View style={styles.line}>
      <StatusMark status={problems.length > 0 ? 'fail' : notes.length > 0 ? 'watch' : 'pass'} />
      <View style={styles.words}>
        <Body>{text}</Body>
        {problems.length > 0 ? <Strong>{`Line ${line}: ${problems.join(' ')}`}</Strong> : null}
        {notes.length > 0 ? <Soft>{`${notes.join('; ')}.`}</Soft> : null}
      </View>
    </View>
  );
}

/** Takes a list back; where more was written since about those of it, it is said and asked. */
const takingBackAction = (id: string) => ({ title: 'Take it back', run: () => takeBack(id, false) });

async function takeBack(id: string, along: boolean): Promise<void> {
  const { show } = useLog.getState();
  try {
    await call('undoList', { params: { id }, query: along ? { along: 'yes' } : {} });
    show({ text: 'The list is taken back.' });
    await Promise.all([useHouse.getState().load(), useLists.getState().load()]);
  } catch (error) {
    const mayGoAlong = error instanceof CallFailed && error.fields.some(({ path }) => path === 'along');
    const action = { title: 'Take all of it back', run: () => takeBack(id, true) };
    const text = mayGoAlong ? error.message : problemOf(error);
    show({ text, isProblem: true, ...(mayGoAlong && { action }) });
  }
}

/** The lists that came in before, each of which can be taken back. */
function Earlier() {
  const styles = useStyles();
  const { lists, load } = useLists();
  const today = useHouse((house) => house.round?.on ?? '');
  const show = useLog((log) => log.show);
  useEffect(() => {
    load().catch((error: unknown) => show({ text: problemOf(error), isProblem: true }));
  }, [load, show]);
  if (lists.length === 0) return null;
  return (
    <View style={styles.part}>
      <Heading>Brought in before</Heading>
      {lists.map((list: BroughtList) => (
        <View key={list.id} style={styles.line}>
          <View style={styles.words}>
            <Body>{listWordsOf(list)}</Body>
            <Soft>{`${dayWords(list.on, today)}${list.undoneAt === null ? '' : ', taken back'}`}</Soft>
          </View>
          {list.undoneAt === null ? (
            <Button rank="second" title="Take it back" onPress={() => void takeBack(list.id, false)} />
          ) : null}
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  part: { gap: space.m, marginTop: space.l },
  line: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    paddingVertical: space.s,
    borderBottomWidth: stroke.thin,
    borderBottomColor: theme.colors.line,
  },
  words: { flex: 1 },
}));
