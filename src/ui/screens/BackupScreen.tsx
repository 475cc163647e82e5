import { useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { BACKUP_ADDRESS, bringHouseIn, bringTablesIn, keptAddress } from '@/client/backupFile';
import { problemOf, useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { BackupBoard } from '@/contract/backup';
import { DARWIN_CORE_ADDRESS, TABLES, TABLES_ADDRESS, tableAddress } from '@/contract/tables';
import { backupWords, bringInWords, broughtWords, sizeWords, tablesBroughtWords, tableWords } from '@/words/backup';
import { dayWords } from '@/words/days';
import { capital } from '@/words/text';
import { saveFrom } from '../components/saveFile';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { ListRow } from '../kit/ListRow';
import { Progress } from '../kit/Progress';
import { useFile } from '../kit/useFile';
import { useConfirm } from '../kit/useConfirm';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** Everything the house keeps as one file: taken out, kept every day, and brought in again. */
export function BackupScreen() {
  const round = useHouse((house) => house.round);
  const today = round?.on ?? '';
  const loading = useLoadState();
  const { answer, problem, again } = useCall(round, () => call('backups', {}));
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen>
      <PaneHeader back="/settings" title="More" />
      <Title>Backup</Title>
      <Body>
        One file holds everything: records, photos, your own profiles and cards, readings, settings. It is a zip of
        plain text that other programs can read too.
      </Body>
      <View style={{ gap: space.m, marginVertical: space.l }}>
        <SaveHouse />
      </View>
      <Heading>Every day</Heading>
      {answer ? (
        <Kept board={answer} today={today} />
      ) : (
        <Waiting {...{ problem, again }}>Looking into the folder…</Waiting>
      )}
      <Heading style={{ marginTop: space.xl }}>Tables for a spreadsheet</Heading>
      <Tables />
      <Heading style={{ marginTop: space.xl }}>Bring a house in</Heading>
      {answer ? <BringIn today={today} board={answer} /> : <Waiting>Looking what is here…</Waiting>}
    </Screen>
  );
}

/** So often it is asked how far the file is, and so long it is waited for its beginning. ms */
const ASKED_EVERY_MS = 400;
const BEGINS_WITHIN_MS = 2000;

/** The house of this moment as a file; a large one takes some seconds, and how far it is shows meanwhile. */
function SaveHouse() {
  const [share, setShare] = useState<number>();
  const save = async () => {
    saveFrom(BACKUP_ADDRESS);
    setShare(0);
    const begun = Date.now();
    let wasWriting = false;
    for (;;) {
      await new Promise((resume) => setTimeout(resume, ASKED_EVERY_MS));
      const writing = await call('backups', {}).then(
        (board) => board.writing,
        () => null,
      );
      if (writing) setShare(writing.done / writing.of);
      else if (wasWriting || Date.now() - begun > BEGINS_WITHIN_MS) break;
      wasWriting = writing !== null;
    }
    setShare(undefined);
  };
  return (
    <>
      <Button
        title={share === undefined ? 'Save the house as a file' : 'Writing the file…'}
        disabled={share !== undefined}
        onPress={() => void save()}
      />
      {share === undefined ? null : <Progress label="How far the file is" share={share} />}
    </>
  );
}

function Kept({ board, today }: { board: BackupBoard; today: string }) {
  const words = backupWords(board, today);
  return (
    <View style={{ gap: space.xs }}>
      {board.isLate || board.problem !== null ? <Strong role="alert">{words}</Strong> : <Body>{words}</Body>}
      {board.folder === null ? null : <Soft>{`Kept in ${board.folder}: 7 days, 4 weeks, 12 months.`}</Soft>}
      {board.backups.map(({ name, day, bytes }) => (
        <ListRow
          key={name}
          label={`Save the backup of ${dayWords(day, today)} as a file`}
          onPress={() => saveFrom(keptAddress(name))}
        >
          <Strong>{capital(dayWords(day, today))}</Strong>
          <Soft>{sizeWords(bytes)}</Soft>
        </ListRow>
      ))}
    </View>
  );
}

const FORMS = [
  { value: 'csv', title: 'CSV' },
  { value: 'json', title: 'JSON' },
] as const;

function Tables() {
  const [form, setForm] = useState<'csv' | 'json'>('csv');
  return (
    <View style={{ gap: space.xs, marginTop: space.s }}>
      <Choices label="Form of the tables" choices={FORMS} value={form} onChange={setForm} />
      {TABLES.map((name) => (
        <ListRow
          key={name}
          label={`Save ${tableWords[name].title} as ${form.toUpperCase()}`}
          onPress={() => saveFrom(tableAddress(name, form))}
        >
          <Strong>{capital(tableWords[name].title)}</Strong>
          <Soft>{tableWords[name].holds}</Soft>
        </ListRow>
      ))}
      <View style={{ gap: space.m, marginTop: space.m }}>
        <Button rank="second" title="All of them as one zip" onPress={() => saveFrom(TABLES_ADDRESS)} />
        <TablesIn />
        <Button rank="second" title="Darwin Core Archive" onPress={() => saveFrom(DARWIN_CORE_ADDRESS)} />
        <Soft>The collection with its births and deaths, in the form that archives of natural history read.</Soft>
      </View>
    </View>
  );
}

/** Tables that came out of a house come in again: all of them or nothing. */
function TablesIn() {
  const [said, setSaid] = useState<{ text: string; isProblem: boolean }>();
  const [isWorking, setWorking] = useState(false);
  const bring = async (file: File) => {
    setWorking(true);
    setSaid(undefined);
    try {
      setSaid({ text: tablesBroughtWords(await bringTablesIn(file)), isProblem: false });
      await useHouse.getState().load();
    } catch (error) {
      setSaid({ text: wrongRows(error), isProblem: true });
    } finally {
      setWorking(false);
    }
  };
  const { choose, input } = useFile({
    ...{ label: 'Zip of tables', accept: '.zip,application/zip', onChoose: (file: File) => void bring(file) },
  });
  return (
    <View style={{ gap: space.s }}>
      {input}
      <Button
        rank="second"
        title={isWorking ? 'Bringing them in…' : 'Bring such a zip in'}
        disabled={isWorking}
        onPress={choose}
      />
      <Soft>
        Into an empty house it makes the same house again, without photos: those go with a backup. A list of your own is
        brought in under Residents.
      </Soft>
      {said ? (
        said.isProblem ? (
          <Strong role="alert">{said.text}</Strong>
        ) : (
          <Body role="status">{said.text}</Body>
        )
      ) : null}
    </View>
  );
}

/** Rows that are told wrong at a time. */
const SHOWN_WRONG = 5;

/** What is wrong, row by row. */
function wrongRows(error: unknown): string {
  const fields = error instanceof CallFailed ? error.fields : [];
  if (fields.length === 0) return problemOf(error);
  const shown = fields.slice(0, SHOWN_WRONG).map(({ path, message }) => `${capital(path)}: ${message}`);
  const more = fields.length > SHOWN_WRONG ? [`And ${fields.length - SHOWN_WRONG} more.`] : [];
  return ['Nothing was written.', ...shown, ...more].join(' ');
}

function BringIn({ today, board }: { today: string; board: BackupBoard }) {
  const { isEmpty, folder } = board;
  const hasFolder = folder !== null;
  const { ask, dialog } = useConfirm();
  const [said, setSaid] = useState<{ text: string; isProblem: boolean }>();
  const [isWorking, setWorking] = useState(false);
  const bring = async (file: File, isInstead: boolean) => {
    setWorking(true);
    setSaid(undefined);
    try {
      const { rows, madeAt, keptAs } = await bringHouseIn(file, isInstead);
      setSaid({ text: broughtWords(rows, madeAt, keptAs, today), isProblem: false });
      await useHouse.getState().load();
    } catch (error) {
      setSaid({ text: problemOf(error), isProblem: true });
    } finally {
      setWorking(false);
    }
  };
  const chosen = (file: File) => {
    if (isEmpty) return void bring(file, false);
    ask({
      title: 'Put it in the place of this house?',
      text: `Everything here gives way to ${file.name}. What is here is kept aside as a file first.`,
      act: 'Put it in its place',
      run: () => bring(file, true),
    });
  };
  const { choose, input } = useFile({ label: 'File of a house', accept: '.zip,application/zip', onChoose: chosen });
  return (
    <View style={{ gap: space.m }}>
      <Body>{bringInWords(isEmpty, hasFolder)}</Body>
      {input}
      <Button
        rank="second"
        title={isWorking ? 'Bringing it in…' : 'Choose the file'}
        disabled={isWorking || !(isEmpty || hasFolder)}
        onPress={choose}
      />
      {said ? (
        said.isProblem ? (
          <Strong role="alert">{said.text}</Strong>
        ) : (
          <Body role="status">{said.text}</Body>
        )
      ) : null}
      {dialog}
    </View>
  );
}
