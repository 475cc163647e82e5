import { router } from 'expo-router';
import { useHouse } from '@/client/house';
import type { Home } from '@/contract/records';
import { BoxTile } from '../drawings/BoxTile';
import { ListRow } from '../kit/ListRow';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { ShelfHeading } from '../components/ShelfHeading';
import { StatusMark } from '../components/StatusMark';
import { Body, Name, Soft, Title } from '../components/Words';
import { ExampleNotice } from '../first/ExampleNotice';
import { BeginHere } from '../first/BeginHere';
import { Trouble } from '../housing/Trouble';
import { LeaveAloneList } from '../round/LeaveAloneList';
import { HOME_WORD } from '@/words/homeState';

/** Beside the wall while no box is chosen: what is to be put right, what is to be watched, and who is left alone. */
export function HousePane() {
  const { homes, residents, round } = useHouse();
  const loading = useLoadState();
  if (loading || !round) return <Screen>{loading}</Screen>;
  const failing = homes.filter(({ state }) => state?.verdict === 'fail');
  const watched = homes.filter(({ state }) => state?.verdict === 'watch');
  return (
    <Screen place="/ house">
      <Title>How it stands</Title>
      <ExampleNotice />
      {residents.length === 0 ? <BeginHere /> : null}
      {residents.length > 0 && failing.length + watched.length === 0 ? <Body>Every box fits its animals.</Body> : null}
      {failing.length > 0 ? <ShelfHeading name="To be put right" note={String(failing.length)} /> : null}
      {failing.map((home) => (
        <HomeLine key={home.id} home={home} />
      ))}
      {watched.length > 0 ? <ShelfHeading name="To be watched" note={String(watched.length)} /> : null}
      {watched.map((home) => (
        <HomeLine key={home.id} home={home} />
      ))}
      <LeaveAloneList stops={round.stops.filter((stop) => stop.leaveAlone)} today={round.on} />
    </Screen>
  );
}

function HomeLine({ home }: { home: Home }) {
  const residents = useHouse((house) => house.residents);
  const tenants = residents.filter(({ homeId }) => homeId === home.id);
  const names = tenants.map(({ scientificName }) => scientificName);
  const verdict = home.state?.verdict ?? 'pass';
  return (
    <ListRow
      label={`${home.code}, ${names.join(', ')}, ${HOME_WORD[verdict]}`}
      onPress={() => router.push(`/homes/${home.id}`)}
      left={<BoxTile home={home} resident={tenants[0]} />}
      right={<StatusMark status={verdict} />}
    >
      {names.length === 0 ? <Soft>free</Soft> : <Name>{names.join(', ')}</Name>}
      <Trouble state={home.state} />
    </ListRow>
  );
}
