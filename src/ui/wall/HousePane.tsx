import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { tenantsOf } from '@/client/tenants';
import type { Home, Resident } from '@/contract/records';
import { BoxTile } from '../drawings/BoxTile';
import { ListRow } from '../kit/ListRow';
import { ListScreen } from '../components/ListScreen';
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

/** A heading with how many stand under it, a box, or at the end those that are left alone. */
type Line = { key: string } & ({ heading: string; count: number } | { home: Home } | { isEnd: true });

/** Beside the wall while no box is chosen: what is to be put right, what is to be watched, and who is left alone. */
export function HousePane() {
  const { homes, residents, round } = useHouse();
  const loading = useLoadState();
  const lines = useMemo<Line[]>(
    () => [
      ...part(
        'To be put right',
        homes.filter(({ state }) => state?.verdict === 'fail'),
      ),
      ...part(
        'To be watched',
        homes.filter(({ state }) => state?.verdict === 'watch'),
      ),
      { key: 'end', isEnd: true },
    ],
    [homes],
  );
  if (loading || !round) return <Screen>{loading}</Screen>;
  const line = (each: Line) => {
    if ('home' in each) return <HomeLine home={each.home} tenants={tenantsOf(residents).get(each.home.id) ?? []} />;
    if ('heading' in each) return <ShelfHeading name={each.heading} note={String(each.count)} />;
    return <LeaveAloneList stops={round.stops.filter((stop) => stop.leaveAlone)} today={round.on} />;
  };
  return (
    <ListScreen
      place="/ house"
      items={lines}
      keyOf={({ key }) => key}
      row={line}
      header={
        <View>
          <Title>How it stands</Title>
          <ExampleNotice />
          {residents.length === 0 ? <BeginHere /> : null}
          {residents.length > 0 && lines.length === 1 ? <Body>Every box fits its animals.</Body> : null}
        </View>
      }
    />
  );
}

const part = (heading: string, homes: Home[]): Line[] =>
  homes.length === 0
    ? []
    : [{ key: heading, heading, count: homes.length }, ...homes.map((home) => ({ key: home.id, home }))];

function HomeLine({ home, tenants }: { home: Home; tenants: readonly Resident[] }) {
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
