import { router } from 'expo-router';
import { Suspense, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { usePreferences } from '@/client/preferences';
import type { Stop } from '@/contract/round';
import { Button } from '../kit/Button';
import { Icon } from '../components/Icon';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { ShelfHeading } from '../components/ShelfHeading';
import { Body, Soft, Title } from '../components/Words';
import { rowsLeft } from '../components/places';
import { Tappable } from '../components/Tappable';
import { useIsWide } from '../components/useLayout';
import { makeStyles } from '../components/useStyles';
import { Tip } from '../components/Tip';
import { useGrowing } from '../components/useGrowing';
import { ExampleNotice } from '../first/ExampleNotice';
import { BeginHere } from '../first/BeginHere';
import { LateBackup, RoundTools, Unworkable } from './lazyForms';
import { LeaveAloneList } from '../round/LeaveAloneList';
import { KeptOnPhone } from '../round/KeptOnPhone';
import { RoundFilter, useWalkedShelves } from '../round/RoundFilter';
import { RoundProgress } from '../round/RoundProgress';
import { Kitchen } from '../round/Kitchen';
import { placesOf, sectionsOf } from '../round/sections';
import { StopPlace } from '../round/StopPlace';
import { ROUND_KEYS, useRoundKeys } from '../round/useRoundKeys';
import { space, target } from '../theme/tokens';
import { weekday } from '@/words/days';
import { countWords } from '@/words/count';

/** Stops that fill a screen, and those that are drawn between two taps. */
const FIRST_STOPS = 8;
const MORE_STOPS = 4;

/** Today's walk past the shelves. */
export function RoundScreen({ chosenHomeId }: { chosenHomeId?: string | undefined }) {
  const styles = useStyles();
  const { shelves, round, residents } = useHouse();
  const { look, set } = usePreferences();
  const isWide = useIsWide();
  const loading = useLoadState();
  const walked = useWalkedShelves(shelves);
  const showsKeys = useRoundKeys();
  // The walk goes on where it was left; another day's begins at its top.
  const walk = `/ ${round?.on ?? ''}`;
  const [left] = useState(() => rowsLeft(walk));
  const sections = useMemo(() => (round ? sectionsOf(round.stops, walked, round.on) : []), [round, walked]);
  const total = sections.reduce((sum, { stops }) => sum + stops.length, 0);
  const drawn = useGrowing(total, FIRST_STOPS, MORE_STOPS);
  if (loading || !round) return <Screen>{loading}</Screen>;
  const places = new Set(walked.map(({ id }) => id));
  const stops = round.stops.filter((stop) => places.has(stop.shelfId));
  const isNight = look === 'night';
  return (
    <Screen place={walk}>
      <View style={styles.head}>
        <Title>{isNight ? 'Night round' : `${weekday(round.on)}’s round`}</Title>
        <View style={styles.tools}>
          <Suspense>
            <RoundTools />
          </Suspense>
          <Tappable
            role="switch"
            aria-checked={isNight}
            aria-label="Night colours"
            onPress={() => set({ look: isNight ? 'day' : 'night' })}
            style={styles.look}
          >
            <Icon name={isNight ? 'Sun' : 'Moon'} />
          </Tappable>
        </View>
      </View>
      {showsKeys ? (
        <View role="note" aria-label="Keys">
          {ROUND_KEYS.map(([key, does]) => (
            <Body key={key}>{`${key}: ${does}`}</Body>
          ))}
        </View>
      ) : null}
      <RoundFilter shelves={shelves} />
      <RoundProgress sections={sections} />
      <KeptOnPhone />
      <Suspense>
        <LateBackup today={round.on} />
        {round.unworkable.length > 0 ? <Unworkable rows={round.unworkable} /> : null}
      </Suspense>
      {isWide ? null : <ExampleNotice />}
      {residents.length === 0 ? <NobodyYet isWide={isWide} /> : null}
      {sections.length > 0 ? (
        <Tip id="tick" isUsed={round.stops.some(({ jobs }) => jobs.some(({ doneBy }) => doneBy !== undefined))}>
          One tap at the right tells that it is done. Tap the words to put it off.
        </Tip>
      ) : null}
      {residents.length > 0 && sections.length === 0 ? <NothingDue /> : null}
      {placesOf(sections, drawn, left).map(({ key, name, stops: ofPart, at }) => (
        <View key={key}>
          <ShelfHeading name={name} note={stopsWords(ofPart)} />
          <Kitchen stops={ofPart} />
          {at.map((place) => (
            <StopPlace
              key={place.key}
              id={place.key}
              stop={place.stop}
              heightPx={place.isDrawn ? undefined : place.heightPx}
              today={round.on}
              isChosen={place.stop.homeId === chosenHomeId}
            />
          ))}
        </View>
      ))}
      {drawn === total ? (
        <>
          <LeaveAloneList stops={stops.filter((stop) => stop.leaveAlone)} today={round.on} />
          {sections.length > 0 ? (
            <Soft style={styles.foot}>
              {`Nothing else is due today. Tap what is to be done to put it off.${isWide ? ' Press ? for the keys.' : ''}`}
            </Soft>
          ) : null}
        </>
      ) : null}
    </Screen>
  );
}

/** On a wide screen the first steps stand beside the round. */
const NobodyYet = ({ isWide }: { isWide: boolean }) =>
  isWide ? <Body>Nobody lives here yet. What is to be done comes up here by itself.</Body> : <BeginHere />;

function NothingDue() {
  const styles = useStyles();
  return (
    <View style={styles.first}>
      <Body>Nothing is due here today.</Body>
      <Button rank="second" title="See what comes next" onPress={() => router.push('/seasons')} />
    </View>
  );
}

const stopsWords = (stops: Stop[]) => countWords(stops.length, 'stop');

const useStyles = makeStyles(() => ({
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  tools: { flexDirection: 'row' },
  look: { width: target, height: target, alignItems: 'center', justifyContent: 'center', marginRight: -space.s },
  foot: { marginTop: space.l },
  first: { gap: space.m, marginTop: space.l },
}));
