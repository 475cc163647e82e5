import { useMemo } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { usePreferences } from '@/client/preferences';
import type { Stop } from '@/contract/round';
import { Icon } from '../components/Icon';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { ShelfHeading } from '../components/ShelfHeading';
import { Body, Soft, Title } from '../components/Words';
import { Tappable } from '../components/Tappable';
import { makeStyles } from '../components/useStyles';
import { useGrowing } from '../components/useGrowing';
import { LeaveAloneList } from '../round/LeaveAloneList';
import { KeptOnPhone } from '../round/KeptOnPhone';
import { RoundFilter, useWalkedShelves } from '../round/RoundFilter';
import { RoundProgress } from '../round/RoundProgress';
import { firstStops, sectionsOf } from '../round/sections';
import { StopRows } from '../round/StopRows';
import { useRoundKeys } from '../round/useRoundKeys';
import { space, target } from '../theme/tokens';
import { weekday } from '../words/days';

/** Stops that fill a screen, and those that are drawn between two taps. */
const FIRST_STOPS = 8;
const MORE_STOPS = 4;

/** Today's walk past the shelves. */
export function RoundScreen({ chosenHomeId }: { chosenHomeId?: string | undefined }) {
  const styles = useStyles();
  const { shelves, round, homes } = useHouse();
  const { look, set } = usePreferences();
  const loading = useLoadState();
  const walked = useWalkedShelves(shelves);
  useRoundKeys();
  const sections = useMemo(() => (round ? sectionsOf(round.stops, walked) : []), [round, walked]);
  const total = sections.reduce((sum, { stops }) => sum + stops.length, 0);
  const drawn = useGrowing(total, FIRST_STOPS, MORE_STOPS);
  if (loading || !round) return <Screen>{loading}</Screen>;
  const places = new Set(walked.map(({ id }) => id));
  const stops = round.stops.filter((stop) => places.has(stop.shelfId));
  const isNight = look === 'night';
  return (
    <Screen>
      <View style={styles.head}>
        <Title>{isNight ? 'Night round' : `${weekday(round.on)}’s round`}</Title>
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
      <RoundFilter shelves={shelves} />
      <RoundProgress sections={sections} />
      <KeptOnPhone />
      {homes.length === 0 ? <Body>No boxes yet. Add your tubs under Homes, then take an animal in.</Body> : null}
      {homes.length > 0 && sections.length === 0 ? <Body>Nothing is due here today.</Body> : null}
      {firstStops(sections, drawn).map(({ key, name, stops: at, shown }) => (
        <View key={key}>
          <ShelfHeading name={name} note={stopsWords(at)} />
          {shown.map((stop) => (
            <StopRows key={stop.residentId} stop={stop} today={round.on} isChosen={stop.homeId === chosenHomeId} />
          ))}
        </View>
      ))}
      {drawn === total ? (
        <>
          <LeaveAloneList stops={stops.filter((stop) => stop.leaveAlone)} today={round.on} />
          <Soft style={styles.foot}>Nothing else is due today. Tap what is to be done to put it off.</Soft>
        </>
      ) : null}
    </Screen>
  );
}

const stopsWords = (stops: Stop[]) => (stops.length === 1 ? '1 stop' : `${stops.length} stops`);

const useStyles = makeStyles(() => ({
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  look: { width: target, height: target, alignItems: 'center', justifyContent: 'center', marginRight: -space.s },
  foot: { marginTop: space.l },
}));
