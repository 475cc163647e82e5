import { router } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Serves } from '@/client/fitting.worker';
import { askedOf } from '@/client/fitting';
import { fittingWorker } from '@/client/fittingWorker';
import { useHouse } from '@/client/house';
import { BoxTile } from '../drawings/BoxTile';
import { ListRow } from '../kit/ListRow';
import { Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { calledWords, containerWords } from '@/words/residents';
import { useLength } from '@/words/useLength';

/** So many are named; of the others the number. */
const NAMED = 3;

/** The tubs that stand free, and whom each would serve as it is: what to keep and what to pass on. */
export function FreeBoxes() {
  const { homes, residents, care } = useHouse();
  const length = useLength();
  const [served, setServed] = useState<Serves[]>([]);
  const free = useMemo(() => homes.filter((home) => home.residentIds.length === 0), [homes]);
  const asked = useMemo(() => residents.map((resident) => askedOf(care, resident)), [residents, care]);
  useEffect(() => {
    let isCurrent = true;
    void fittingWorker()
      .whomEachServes(asked, free)
      .then((answer) => isCurrent && setServed(answer));
    return () => {
      isCurrent = false;
    };
  }, [asked, free]);
  const wordsFor = (homeId: string) => {
    const ids = served.find((each) => each.homeId === homeId)?.residentIds;
    if (!ids) return '';
    const names = ids.flatMap((id) => residents.find((each) => each.id === id) ?? []).map(calledWords);
    if (names.length === 0) return 'fits nobody here as it is';
    const more = names.length > NAMED ? ` and ${names.length - NAMED} more` : '';
    return `would fit ${names.slice(0, NAMED).join(', ')}${more}`;
  };
  return (
    <View style={{ marginTop: space.xl }}>
      <Heading>Free boxes</Heading>
      {free.map((home) => (
        <ListRow
          key={home.id}
          label={`${home.code}, free`}
          onPress={() => router.push(`/homes/${home.id}`)}
          left={<BoxTile home={home} />}
        >
          <Strong>{containerWords(home, length)}</Strong>
          <Soft>{wordsFor(home.id)}</Soft>
        </ListRow>
      ))}
    </View>
  );
}
