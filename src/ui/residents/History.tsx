import { useMemo, useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import { call } from '@/client/api';
import { openPaper } from '@/client/paper';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import { ENTRY_FILTERS, type EntryFilter } from '@/words/entryFilters';
import { tableAddress } from '@/contract/tables';
import type { EntryVersion } from '@/contract/mending';
import type { Entry } from '@/contract/storedEntries';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Waiting } from '../kit/Waiting';
import { LinkRow } from '../components/LinkRow';
import { saveFrom } from '../components/saveFile';
import { Tip } from '../components/Tip';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft } from '../components/Words';
import { space, stroke, target } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { entryWords } from '@/words/entries';
import { canBeMended, versionWords } from '@/words/mending';
import { useLength } from '@/words/useLength';
import { useNames } from '@/words/useNames';
import { MendForm } from './MendForm';

/** Everything that was written down, newest first along one line; each thing can be put right, taken back and brought back. */
export function History({ residentId, today }: { residentId: string; today: string }) {
  // The house is loaded anew after every entry: its round tells that the history may have grown.
  const version = useHouse((house) => house.round);
  const show = useLog((log) => log.show);
  const [filter, setFilter] = useState<EntryFilter>('all');
  const [wasOpened, setOpened] = useState(false);
  const kinds = ENTRY_FILTERS.find((each) => each.value === filter)?.kinds.join(',');
  const query = kinds === undefined || kinds === '' ? {} : { kinds };
  const key = useMemo(() => [residentId, filter, version], [residentId, filter, version]);
  const { answer, problem, again } = useCall(key, async () =>
    filter === 'back'
      ? { ...(await call('takenBackEntries', { params: { id: residentId } })), hasMore: false }
      : call('history', { params: { id: residentId }, query }),
  );
  const [longer, setLonger] = useState<{ of: unknown; entries: Entry[]; hasMore: boolean }>();
  const page = longer && longer.of === answer ? longer : answer;
  const earlier = async () => {
    const last = page?.entries.at(-1);
    if (!page || !last) return;
    try {
      const next = await call('history', { params: { id: residentId }, query: { ...query, before: last.id } });
      setLonger({ of: answer, entries: [...page.entries, ...next.entries], hasMore: next.hasMore });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const styles = useStyles();
  return (
    <View style={styles.part}>
      <Heading>History</Heading>
      <LinkRow
        links={[
          { title: 'Record on paper', onPress: () => openPaper('record', { resident: residentId }) },
          { title: 'Page for a new keeper', onPress: () => openPaper('new-keeper', { resident: residentId }) },
          {
            title: 'Entries as a table',
            onPress: () =>
              saveFrom(tableAddress('entries', 'csv', { resident: residentId, kinds: kinds || undefined })),
          },
          { title: 'Life as a file', onPress: () => saveFrom(`/api/residents/${residentId}/life`, 'life.json') },
        ]}
      />
      <Choices label="Show" choices={ENTRY_FILTERS} value={filter} onChange={setFilter} />
      <Tip id="history" isUsed={wasOpened}>
        Tap an entry to see who wrote it, to put it right, or to take it back.
      </Tip>
      {page && problem === undefined ? null : <Waiting {...{ problem, again }}>Reading the log…</Waiting>}
      {page?.entries.length === 0 ? <Soft>Nothing of that kind was written down.</Soft> : null}
      <View role="list" style={styles.line}>
        {page?.entries.map((entry, index) => (
          <EntryRow
            key={entry.id}
            entry={entry}
            today={today}
            onOpen={() => setOpened(true)}
            isFirstOfDay={page.entries[index - 1]?.on !== entry.on}
          />
        ))}
      </View>
      {page?.hasMore ? <Button rank="second" title="Earlier" onPress={() => void earlier()} /> : null}
    </View>
  );
}

interface RowProps {
  entry: Entry;
  today: string;
  isFirstOfDay: boolean;
  onOpen: () => void;
}

function EntryRow({ entry, today, isFirstOfDay, onOpen }: RowProps) {
  const styles = useStyles();
  const length = useLength();
  const { undo, restore } = useLog();
  const [isOpen, setOpen] = useState(false);
  const [isMended, setMended] = useState(false);
  const [versions, setVersions] = useState<EntryVersion[]>([]);
  const names = useNames();
  const see = async () => setVersions((await call('entryVersions', { params: { id: entry.id } })).versions);
  const { mended = 0 } = entry.data;
  const isStanding = entry.undoneAt === null;
  const mend = { title: 'Put right', onPress: () => setMended(true) };
  const back = { title: 'Take back', onPress: () => void undo(entry.id) };
  const before = { title: 'How it stood before', onPress: () => void see() };
  const links = isStanding
    ? [...(canBeMended(entry.kind) ? [mend] : []), back, ...(mended > 0 ? [before] : [])]
    : [{ title: 'Bring back', onPress: () => void restore(entry.id) }];
  const words = entryWords(entry, length, names, today);
  const day = dayWords(entry.on, today);
  return (
    <View role="listitem" style={styles.entry}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${day}: ${words}`}
        onPress={() => {
          setOpen(!isOpen);
          onOpen();
        }}
        style={styles.row}
      >
        <Soft style={styles.day}>{isFirstOfDay ? day : ''}</Soft>
        <View style={[styles.mark, BIG.has(entry.kind) && styles.big]} />
        <View style={styles.what}>
          <Body>{words}</Body>
          {entry.note !== null && entry.kind !== 'noted' && entry.kind !== 'photo' ? <Soft>{entry.note}</Soft> : null}
          {isOpen && entry.keeper !== null ? <Soft>{`by ${entry.keeper}`}</Soft> : null}
          {isOpen
            ? versions.map((version) => (
                <Soft key={version.number}>
                  {versionWords(version, entryWords(asEntry(version, entry), length, names, today), today)}
                </Soft>
              ))
            : null}
        </View>
      </Pressable>
      {entry.kind === 'photo' ? (
        <Image
          source={{ uri: `/api/entries/${entry.id}/photo${isOpen ? '' : '?small=1'}` }}
          accessibilityLabel={entry.note ?? `Photo of ${day}`}
          style={isOpen ? styles.largePhoto : styles.photo}
          resizeMode={isOpen ? 'contain' : 'cover'}
        />
      ) : null}
      {isOpen ? (
        <View style={styles.undo}>
          <LinkRow links={links} />
        </View>
      ) : null}
      {isMended ? <MendForm entry={entry} words={words} onDone={() => setMended(false)} /> : null}
    </View>
  );
}

/** An entry as it stood before. */
const asEntry = (version: EntryVersion, entry: Entry) => ({ ...entry, ...version }) as Entry;

/** What stands out on the line. */
const BIG = new Set<Entry['kind']>(['taken-in', 'moulted', 'hatched', 'died', 'passed-on', 'moved', 'joined-into']);

const DAY_WIDTH = 92;
const MARK = 9;
const GUTTER = DAY_WIDTH + space.m + MARK + space.m;

const useStyles = makeStyles((theme) => ({
  part: { gap: space.m, marginTop: space.xl },
  line: { position: 'relative' },
  entry: { borderBottomWidth: 1, borderBottomColor: theme.colors.line },
  row: { flexDirection: 'row', gap: space.m, minHeight: target, alignItems: 'stretch' },
  day: { width: DAY_WIDTH, paddingTop: space.m },
  mark: {
    width: MARK,
    marginVertical: -1,
    borderLeftWidth: stroke.line,
    borderLeftColor: theme.colors.line,
    marginLeft: MARK / 2,
    marginRight: -MARK / 2,
  },
  big: { borderLeftWidth: MARK, borderLeftColor: theme.colors.accent, marginLeft: 0, marginRight: 0, width: MARK },
  what: { flex: 1, paddingVertical: space.m - space.hair },
  photo: { width: 120, height: 90, marginLeft: GUTTER, marginBottom: space.s },
  largePhoto: { width: '100%', aspectRatio: 4 / 3, marginBottom: space.s },
  undo: { marginLeft: GUTTER },
}));
