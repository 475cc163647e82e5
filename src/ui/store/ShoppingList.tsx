import { useEffect, useMemo, useState } from 'react';
import { router } from 'expo-router';
import { View } from 'react-native';
import { askedOf, fitOf } from '@/client/fitting';
import { fittingWorker } from '@/client/fittingWorker';
import { useHouse } from '@/client/house';
import { useStock } from '@/client/stock';
import type { ShoppingList as List } from '@/core/housing/ladder';
import { grown } from '@/core/profiles/animal';
import { Choices } from '../kit/Choices';
import { BoxTile } from '../drawings/BoxTile';
import { ListRow } from '../kit/ListRow';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { useLength } from '@/words/useLength';
import { space } from '../theme/tokens';
import { onceDrilledWords } from '@/words/build';
import { boxSizeWords, calledWords } from '@/words/residents';
import { listWords } from '@/words/count';
import { Waiting } from '../kit/Waiting';

const AHEAD = [
  { value: '0', title: 'now' },
  { value: '1', title: 'after the next moult' },
  { value: '2', title: 'after two moults' },
];

/** Those whose home no longer serves: which own free box takes each, and the smallest set of sizes to buy for the rest. */
export function ShoppingList() {
  const length = useLength();
  const { homes, residents, care } = useHouse();
  const { boxSizes } = useStock();
  const [list, setList] = useState<List | null>(null);
  const [moults, setMoults] = useState('0');
  const homeless = useMemo(
    () =>
      residents.flatMap((resident) => {
        const home = homes.find((each) => each.id === resident.homeId);
        const then = grown(care.of(resident), resident, Number(moults));
        return home && needsAnother(fitOf(care, home, then)) ? [askedOf(care, then)] : [];
      }),
    [homes, residents, care, moults],
  );
  const free = useMemo(
    () => homes.filter((home) => home.residentIds.length === 0 && home.quarantineSince === null),
    [homes],
  );
  useEffect(() => {
    let isCurrent = true;
    if (boxSizes.length > 0) {
      void fittingWorker()
        .shoppingList(homeless, free, boxSizes)
        .then((answer) => isCurrent && setList(answer));
    }
    return () => {
      isCurrent = false;
    };
  }, [homeless, free, boxSizes]);
  const nameOf = (id: string) => {
    const resident = residents.find((each) => each.id === id);
    return resident ? calledWords(resident) : '?';
  };
  return (
    <View style={{ gap: space.s, marginTop: space.m }}>
      <Heading>Boxes that are needed</Heading>
      <Choices label="Looking ahead" choices={AHEAD} value={moults} onChange={setMoults} />
      {homeless.length === 0 ? <Body>Every box fits, or can be put right as it is.</Body> : null}
      {list === null && homeless.length > 0 ? <Waiting>Trying the boxes…</Waiting> : null}
      {list?.housed.map(({ residentId, homeId, drill }) => {
        const home = homes.find((each) => each.id === homeId);
        if (!home) return null;
        return (
          <ListRow
            key={residentId}
            label={`${nameOf(residentId)} can move to ${home.code}`}
            onPress={() => router.push(`/residents/${residentId}/boxes`)}
            left={<BoxTile home={home} />}
          >
            <Strong>{`for ${nameOf(residentId)}`}</Strong>
            <Soft>{`of your own, free${drill ? `; ${onceDrilledWords(drill, length)}` : ''}`}</Soft>
          </ListRow>
        );
      })}
      {list?.buy.map(({ size, residentIds }) => (
        <View key={size.id} style={{ paddingVertical: space.s }}>
          <Strong>{`Buy ${residentIds.length} x ${boxSizeWords(size, length)}`}</Strong>
          <Soft>{`for ${residentIds.map(nameOf).join(', ')}`}</Soft>
        </View>
      ))}
      {list && list.unserved.length > 0 ? (
        <Body>{`No usual size fits ${listWords(list.unserved.map(nameOf))}. Build one.`}</Body>
      ) : null}
    </View>
  );
}

/** Fails by its size or its walls, which no soil, hole or piece puts right. */
const needsAnother = ({ checks, substrateDepthMm }: ReturnType<typeof fitOf>) =>
  substrateDepthMm.recommended === null ||
  checks.some(
    (check) =>
      check.status === 'fail' &&
      ['floorShortSideMm', 'floorLongSideMm', 'heightMm', 'floorAreaPerHeadMm2', 'innerVolumeL'].includes(
        check.quantity,
      ),
  );
