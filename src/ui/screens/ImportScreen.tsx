import { placesIn, type PlaceInHome } from '@/core/readings/places';
import type { Home } from '@/contract/records';
import { router } from 'expo-router';
import LinearProgress from '@rneui/themed/dist/LinearProgress';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { bringIn, loggerWorker } from '@/client/loggerFile';
import type { Preview, Summary } from '@/client/logger.worker';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { isZone } from '@/core/measure/zone';
import type { ColumnMapping } from '@/core/readings/loggerTable';
import { Button } from '../kit/Button';
import { useFile } from '../kit/useFile';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { useTheme } from '../components/useStyles';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { ZoneInput } from '../kit/ZoneInput';
import { space } from '../theme/tokens';
import { PLACE_WORDS } from '@/words/air';
import { useTemperature } from '@/words/temperature';
import { countWords } from '@/words/count';

interface Props {
  homeId?: string | undefined;
  roomId?: string | undefined;
}

const OWN_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Brings the file of a data logger in: which column is what, what is doubted, and then all of it at once. */
export function ImportScreen({ homeId, roomId }: Props) {
  const homes = useHouse((house) => house.homes);
  const loading = useLoadState();
  const show = useLog((log) => log.show);
  const [worker] = useState(loggerWorker);
  useEffect(() => worker.end, [worker]);
  const [file, setFile] = useState<{ name: string; preview: Preview } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const home = homes.find((each) => each.id === homeId);
  const open = async (chosen: File) => {
    setFile(null);
    setProblem(null);
    try {
      const preview = await worker.remote.open(chosen, OWN_ZONE);
      if (typeof preview === 'string') return setProblem(preview);
      setFile({ name: chosen.name.replace(/\.[a-z]+$/i, '').slice(0, 60), preview });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const { choose, input } = useFile({
    ...{ label: 'File of the logger', accept: '.csv,.txt,.tsv,text/csv,text/plain' },
    onChoose: (chosen) => void open(chosen),
  });
  if (loading) return <Screen>{loading}</Screen>;
  if (!home && roomId === undefined) {
    return (
      <Screen>
        <PaneHeader back="/settings" title="More" />
        <Title>Bring in a logger’s file</Title>
        <Body>Say first where it measured: the readings of a home, or the air of a room.</Body>
        <LinkRow
          links={[
            { title: 'The homes', onPress: () => router.push('/homes') },
            { title: 'The rooms', onPress: () => router.push('/homes/shelves') },
          ]}
        />
      </Screen>
    );
  }
  return (
    <Screen>
      <PaneHeader back={home ? `/homes/${home.id}` : '/settings'} title={home?.code ?? 'More'} />
      <Title>Bring in a logger’s file</Title>
      <Soft>{`Text with columns: commas, semicolons or tabs. ${home ? `For ${home.code}.` : 'For the room.'}`}</Soft>
      {input}
      <View style={{ marginVertical: space.l }}>
        <Button rank={file ? 'second' : 'main'} title={file ? 'Another file' : 'Choose the file'} onPress={choose} />
      </View>
      {problem !== null ? <Strong role="alert">{problem}</Strong> : null}
      {file ? <MappedFile key={JSON.stringify(file)} file={file} worker={worker} {...{ home, roomId }} /> : null}
    </Screen>
  );
}

interface MappedProps {
  file: { name: string; preview: Preview };
  worker: ReturnType<typeof loggerWorker>;
  home: Home | undefined;
  roomId: string | undefined;
}

const NONE = 'none';

function MappedFile({ file, worker, home, roomId }: MappedProps) {
  const at = home ? { homeId: home.id } : { roomId: roomId ?? '' };
  const { theme } = useTheme();
  const show = useLog((log) => log.show);
  const { header, rows, rowCount, guess } = file.preview;
  const [mapping, setMapping] = useState({ ...guess });
  const [zone, setZone] = useState(guess.zone ?? OWN_ZONE);
  const [name, setName] = useState(file.name);
  const [place, setPlace] = useState<PlaceInHome>(placesIn(home ?? {})[0] ?? 'air');
  const [summary, setSummary] = useState<Summary | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const isGivenUp = useRef(false);
  const set = (change: Partial<ColumnMapping>) => {
    setMapping((before) => ({ ...before, ...change }));
    setSummary(null);
  };
  const columns = header.map((title, index) => ({
    value: String(index),
    title: title.trim() || `column ${index + 1}`,
  }));
  const column = (
    field: 'timeColumn' | 'secondTimeColumn' | 'temperatureColumn' | 'humidityColumn',
    label: string,
    isOptional: boolean,
  ) => (
    <View style={{ gap: space.s }}>
      <Heading>{label}</Heading>
      <Choices
        isNamedAbove
        label={label}
        choices={isOptional ? [...columns, { value: NONE, title: 'none' }] : columns}
        value={mapping[field] === undefined ? (isOptional ? NONE : undefined) : String(mapping[field])}
        onChange={(value) => set({ [field]: value === NONE ? undefined : Number(value) })}
      />
    </View>
  );
  const missing =
    mapping.timeColumn === undefined
      ? 'Say which column holds the date and time.'
      : mapping.temperatureColumn === undefined && mapping.humidityColumn === undefined
        ? 'Say which column holds the temperature or the humidity.'
        : !isZone(zone)
          ? 'The zone of the file is not known here: choose one.'
          : null;
  const read = async () => {
    if (missing !== null) return;
    const { timeColumn = 0, temperatureUnit = 'C', dateOrder = 'ymd', ...rest } = mapping;
    setSummary(await worker.remote.read({ ...rest, timeColumn, temperatureUnit, dateOrder, zone }));
  };
  const bring = async (count: number) => {
    isGivenUp.current = false;
    setProgress(0);
    try {
      const where = { name, place: 'roomId' in at ? ('room' as const) : place, ...at };
      const result = await bringIn(worker.remote, where, count, setProgress, () => isGivenUp.current);
      const text = result
        ? `${result.added.toLocaleString('en-GB')} readings brought in${result.duplicates > 0 ? `; ${result.duplicates.toLocaleString('en-GB')} were there already` : ''}.`
        : 'Given up: nothing was kept.';
      setDone(result ? text : null);
      show({ text });
    } catch (error) {
      show({ text: `${problemOf(error)} Nothing of the file was kept.`, isProblem: true });
    }
    setProgress(null);
  };
  return (
    <View style={{ gap: space.m }}>
      <Soft>{`${rowCount.toLocaleString('en-GB')} rows. The first: ${(rows[0] ?? []).join(' | ')}`}</Soft>
      {column('timeColumn', 'Date and time', false)}
      {column('secondTimeColumn', 'Time, where it has a column of its own', true)}
      {column('temperatureColumn', 'Temperature', true)}
      {mapping.temperatureColumn === undefined ? null : (
        <Choices
          label="Unit of the temperature"
          choices={[
            { value: 'C', title: 'Celsius' },
            { value: 'F', title: 'Fahrenheit' },
          ]}
          value={mapping.temperatureUnit}
          onChange={(temperatureUnit) => set({ temperatureUnit })}
        />
      )}
      {column('humidityColumn', 'Humidity', true)}
      <Heading>Dates are written</Heading>
      <Choices
        label="Dates are written"
        choices={[
          { value: 'ymd', title: 'year first' },
          { value: 'dmy', title: 'day first' },
          { value: 'mdy', title: 'month first' },
        ]}
        value={mapping.dateOrder}
        onChange={(dateOrder) => set({ dateOrder })}
      />
      <ZoneInput
        label="Zone of the logger’s clock"
        value={zone}
        onChange={(chosen) => {
          setZone(chosen);
          setSummary(null);
        }}
      />
      {home ? (
        <Choices
          label="Where it lay"
          choices={placesIn(home).map((value) => ({ value, title: PLACE_WORDS[value] }))}
          value={place}
          onChange={setPlace}
        />
      ) : null}
      <Field label="What the logger is called" value={name} onChange={setName} />
      {missing !== null ? <Body>{missing}</Body> : null}
      {summary ? (
        <SummaryWords summary={summary} />
      ) : (
        <Button rank="second" disabled={missing !== null} title="Read it" onPress={() => void read()} />
      )}
      {summary && summary.count > 0 && progress === null && done === null ? (
        <Button
          title={`Bring in ${summary.count.toLocaleString('en-GB')} readings`}
          onPress={() => void bring(summary.count)}
        />
      ) : null}
      {progress !== null ? (
        <View style={{ gap: space.s }}>
          <LinearProgress
            aria-label="Bringing the file in"
            // The library counts in whole ones.
            accessibilityValue={{ min: 0, max: 100, now: Math.round(100 * progress) }}
            value={progress}
            animation={false}
            color="primary"
            trackColor={theme.colors.line}
            style={{ height: space.m }}
          />
          <Button rank="second" title="Give up" onPress={() => (isGivenUp.current = true)} />
        </View>
      ) : null}
      {done !== null ? <Strong>{done}</Strong> : null}
    </View>
  );
}

/** What was found in the file, before anything of it is kept. */
function SummaryWords({ summary }: { summary: Summary }) {
  const temperature = useTemperature();
  const { count, firstAt, lastAt, lowestC, highestC, spikes, duplicates, gaps, clockJumps, refused, problems } =
    summary;
  const day = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
  const many = (value: number, one: string, more: string) => (value === 0 ? [] : [countWords(value, one, more)]);
  const lines = [
    ...(count === 0 ? ['No row could be read.'] : [`From ${day(firstAt)} to ${day(lastAt)}, on this device’s clock.`]),
    ...(lowestC !== null && highestC !== null
      ? [`From ${temperature.long(lowestC)} to ${temperature.long(highestC)}.`]
      : []),
    ...many(spikes, 'spike: kept, marked, not reckoned with.', 'spikes: kept, marked, not reckoned with.'),
    ...many(duplicates, 'row with the instant of another: left out.', 'rows with the instant of another: left out.'),
    ...many(
      clockJumps,
      'row where the clock runs backwards: kept, marked.',
      'rows where the clock runs backwards: kept, marked.',
    ),
    ...many(gaps, 'gap.', 'gaps.'),
    ...many(refused, 'row could not be read:', 'rows could not be read:'),
  ];
  return (
    <View style={{ gap: space.xs }} aria-live="polite">
      <Strong>{`${count.toLocaleString('en-GB')} readings`}</Strong>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {problems.slice(0, 6).map(({ line, column, message }) => (
        <Soft key={`${line} ${column}`}>{`Line ${line}, ${column}: ${message}`}</Soft>
      ))}
    </View>
  );
}
