import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { beenOn, useBeenHere } from '@/client/beenHere';
import { useHouse } from '@/client/house';
import { groupBy } from '@/core/groupBy';
import { boxOfCode, uuidOf } from '@/core/labels/boxCode';
import { countWords } from '@/words/count';
import { foreignWords, jobCountWords, LOST_WORDS } from '@/words/scan';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Button } from '../kit/Button';
import { Fold } from '../kit/Fold';
import { Field } from '../kit/Field';
import { ListRow } from '../kit/ListRow';
import { AtTheBox } from '../scan/AtTheBox';
import { CameraView } from '../scan/CameraView';
import { space } from '../theme/tokens';

/** A code that was read: what it holds, and the box that it is of. */
interface Read {
  text: string;
  homeId: string | null;
}

/**
 * The round by scanning: each code opens its box with what is due there, and ticks that its keeper was before it.
 * @param scanned the box whose code another camera has read, as its label has it
 */
export function ScanScreen({ scanned }: { scanned?: string | undefined }) {
  const homes = useHouse((house) => house.homes);
  const today = useHouse((house) => house.round?.on);
  const loading = useLoadState();
  const [read, setRead] = useState<Read | null>(
    scanned === undefined ? null : { text: scanned, homeId: uuidOf(scanned) },
  );
  const [isLooking, setLooking] = useState(read === null);
  const note = useBeenHere((been) => been.note);
  const home = homes.find(({ id }) => id === read?.homeId);
  const homeId = home?.id;
  useEffect(() => {
    if (homeId !== undefined && today !== undefined) note(homeId, today);
  }, [homeId, today, note]);
  if (loading) return <Screen>{loading}</Screen>;
  const open = (found: Read) => {
    setRead(found);
    setLooking(false);
  };
  const openBox = (id: string) => open({ text: '', homeId: id });
  const onCode = (text: string) => {
    // A page that nobody has touched may not.
    if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.(BUZZ_MS);
    open({ text, homeId: boxOfCode(text) });
  };
  return (
    <Screen actions={isLooking ? null : <Button grow title="Scan the next box" onPress={() => setLooking(true)} />}>
      <PaneHeader back="/" title="Round" />
      {isLooking ? (
        <>
          <Title>Scan</Title>
          <CameraView onCode={onCode} />
        </>
      ) : null}
      {isLooking || home || !read ? null : (
        <Strong role="alert">{read.homeId === null ? foreignWords(read.text) : LOST_WORDS}</Strong>
      )}
      {home && !isLooking ? <AtTheBox home={home} /> : <Typed onBox={openBox} />}
      <Walked onBox={openBox} />
    </Screen>
  );
}

/** Felt through a glove. ms */
const BUZZ_MS = 40;

interface Ways {
  onBox: (homeId: string) => void;
}

/** A label that cannot be read is typed. */
function Typed({ onBox }: Ways) {
  const homes = useHouse((house) => house.homes);
  const [code, setCode] = useState('');
  const wanted = code.trim().toLowerCase();
  const found = homes.find((home) => home.code.toLowerCase() === wanted);
  return (
    <View style={{ gap: space.s, marginTop: space.m }}>
      <Field
        label="Or type what the box is called"
        value={code}
        onChange={setCode}
        problem={wanted !== '' && !found ? 'No box is called that yet.' : undefined}
      />
      {found ? <Button rank="second" title={`Open ${found.code}`} onPress={() => onBox(found.id)} /> : null}
    </View>
  );
}

/** How far the walk is: boxes stood before, and those with work that nobody stood before. */
function Walked({ onBox }: Ways) {
  const { homes, round } = useHouse();
  const been = useBeenHere();
  if (!round) return null;
  const here = new Set(beenOn(been, round.on));
  const stopsAt = groupBy(round.stops, ({ homeId }) => homeId);
  const jobsAt = (homeId: string) => (stopsAt.get(homeId) ?? []).flatMap(({ jobs }) => jobs);
  const isOpen = (homeId: string) => jobsAt(homeId).some(({ doneBy, skipped }) => doneBy === undefined && !skipped);
  const left = homes.filter(({ id }) => !here.has(id) && isOpen(id));
  const walked = homes.filter(({ id }) => here.has(id));
  const row = (home: (typeof homes)[number], isTicked: boolean) => (
    <ListRow
      key={home.id}
      label={`${home.code}, ${jobCountWords(jobsAt(home.id))}${isTicked ? ', been here' : ''}`}
      onPress={() => onBox(home.id)}
    >
      <Strong>{home.code}</Strong>
      <Soft>{`${isTicked ? 'been here, ' : ''}${jobCountWords(jobsAt(home.id))}`}</Soft>
    </ListRow>
  );
  return (
    <View style={{ gap: space.s, marginTop: space.l }}>
      <Heading>Today’s walk</Heading>
      <Body>
        {`${walked.length === 0 ? 'No box was scanned yet' : `Been before ${countWords(walked.length, 'box', 'boxes')}`}. ${left.length === 0 ? 'No other box has work left.' : `${countWords(left.length, 'box', 'boxes')} with work still to come.`}`}
      </Body>
      {left.length === 0 ? null : (
        <Fold title="Still to come">
          <View>{left.map((home) => row(home, false))}</View>
        </Fold>
      )}
      {walked.length === 0 ? null : (
        <Fold title="Been here">
          <View>{walked.map((home) => row(home, true))}</View>
        </Fold>
      )}
    </View>
  );
}
