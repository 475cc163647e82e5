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
import { LeaveAloneList } from '../round/LeaveAloneList';
import { RoundProgress } from '../round/RoundProgress';
import { StopRows } from '../round/StopRows';
import { space, target } from '../theme/tokens';
import { weekday } from '../words/days';

/** Today's walk past the shelves. */
export function RoundScreen({ chosenHomeId }: { chosenHomeId?: string | undefined }) {
  const styles = useStyles();
  const { shelves, round, homes } = useHouse();
  const { look, set } = usePreferences();
  const loading = useLoadState();
  if (loading || !round) return <Screen>{loading}</Screen>;
  const busy = round.stops.filter((stop) => stop.jobs.length > 0);
  const perShelf = shelves
    .map((shelf) => ({ shelf, stops: busy.filter((stop) => stop.shelfId === shelf.id) }))
    .filter(({ stops }) => stops.length > 0);
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
      <RoundProgress jobs={busy.flatMap((stop) => stop.jobs)} />
      {homes.length === 0 ? <Body>No boxes yet. Add your tubs under Homes, then take an animal in.</Body> : null}
      {homes.length > 0 && perShelf.length === 0 ? <Body>Nothing is due today.</Body> : null}
      {perShelf.map(({ shelf, stops }) => (
        <View key={shelf.id}>
          <ShelfHeading name={shelf.name} note={stopsWords(stops)} />
          {stops.map((stop) => (
            <StopRows key={stop.residentId} stop={stop} today={round.on} isChosen={stop.homeId === chosenHomeId} />
          ))}
        </View>
      ))}
      <LeaveAloneList stops={round.stops.filter((stop) => stop.leaveAlone)} today={round.on} />
      <Soft style={styles.foot}>Nothing else is due today.</Soft>
    </Screen>
  );
}

const stopsWords = (stops: Stop[]) => (stops.length === 1 ? '1 stop' : `${stops.length} stops`);

const useStyles = makeStyles(() => ({
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  look: { width: target, height: target, alignItems: 'center', justifyContent: 'center', marginRight: -space.s },
  foot: { marginTop: space.l },
}));
