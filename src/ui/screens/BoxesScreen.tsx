import { router } from 'expo-router';
import { useState } from 'react';
import { rankFor } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { Button } from '../components/Button';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Name, Soft, Title } from '../components/Words';
import { RankedBoxes } from '../housing/RankedBoxes';
import { calledWords, lifeWords } from '../words/residents';
import { useLength } from '../words/useLength';

/** The keeper's free boxes, best first, for one animal; and moving it there. */
export function BoxesScreen({ residentId }: { residentId: string }) {
  const length = useLength();
  const { homes, residents } = useHouse();
  const write = useLog((log) => log.write);
  const [chosenId, setChosenId] = useState<string>();
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const resident = residents.find((each) => each.id === residentId);
  if (!resident) {
    return (
      <Screen>
        <PaneHeader back="/residents" title="Residents" />
        <Body>There is no animal here.</Body>
      </Screen>
    );
  }
  const present = homes.find((home) => home.id === resident.homeId);
  const ranking = rankFor(
    resident,
    homes.filter((home) => home.residentIds.length === 0 || home.id === resident.homeId),
  );
  const chosen = homes.find((home) => home.id === chosenId && home.id !== resident.homeId);
  const fails = ranking.find((each) => each.homeId === chosen?.id)?.fit.verdict === 'fail';
  const title = chosen ? `Move to ${chosen.code}${fails ? ' all the same' : ''}` : 'Choose a box to move to';
  const move = async () => {
    if (!chosen) return;
    const entry = { kind: 'moved', residentId: resident.id, homeId: chosen.id } as const;
    if (await write(entry, `${calledWords(resident)} moved to ${chosen.code}.`)) router.replace(`/homes/${chosen.id}`);
  };
  return (
    <Screen
      actions={
        <Button grow rank={fails ? 'second' : 'main'} disabled={!chosen} title={title} onPress={() => void move()} />
      }
    >
      <PaneHeader back="/residents" title="Back" />
      <Title>Boxes for it</Title>
      <Name>{resident.scientificName}</Name>
      <Soft>{`${calledWords(resident)}, ${lifeWords(resident, length)}, now in ${present?.code ?? '?'}`}</Soft>
      <Soft>
        Make the new home ready and damp first. Nothing between animal and freedom but a closed door and a tub.
      </Soft>
      <RankedBoxes
        ranking={ranking}
        homes={homes}
        presentId={resident.homeId}
        chosenId={chosenId}
        onChoose={setChosenId}
      />
    </Screen>
  );
}
