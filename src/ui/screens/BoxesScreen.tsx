import { airSchool } from '@/core/profiles/schools';
import { router } from 'expo-router';
import { useState } from 'react';
import { companyOf } from '@/client/company';
import { useHouse } from '@/client/house';
import { useRanking } from '@/client/useRanking';
import { Button } from '../kit/Button';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Name, Soft, Title } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { NobodyHere } from '../residents/NobodyHere';
import { CompanyChecks } from '../housing/CompanyChecks';
import { RankedBoxes } from '../housing/RankedBoxes';
import { SizeLadder } from '../housing/SizeLadder';
import { QuietPanel, useQuiet } from '../residents/QuietPanel';
import { calledWords, lifeWords } from '@/words/residents';
import { useLength } from '@/words/useLength';

/** The keeper's boxes it may live in, best first; on to the sheet of the move; and the sizes it will want later. */
export function BoxesScreen({ residentId }: { residentId: string }) {
  const length = useLength();
  const { homes, residents, care } = useHouse();
  const [chosenId, setChosenId] = useState<string>();
  const loading = useLoadState();
  const { resident, present, ranking, withOthers } = useRanking(residentId);
  const isQuiet = useQuiet(residentId) !== null;
  if (loading) return <Screen>{loading}</Screen>;
  if (!resident) return <NobodyHere />;
  const chosen = homes.find((home) => home.id === chosenId && home.id !== resident.homeId);
  const fails = [...ranking, ...withOthers].find((each) => each.homeId === chosen?.id)?.verdict === 'fail';
  const title = chosen ? `Move to ${chosen.code}${fails ? ' all the same' : ''}` : 'Choose a box to move to';
  return (
    <Screen
      actions={
        <Button
          grow
          rank={fails || isQuiet ? 'second' : 'main'}
          disabled={!chosen}
          title={title}
          onPress={() => router.push(`/residents/${resident.id}/move?to=${chosen?.id}`)}
        />
      }
    >
      <PaneHeader back="/residents" title="Back" />
      <Title>Boxes for it</Title>
      <Name>{resident.scientificName}</Name>
      <Soft>{`${calledWords(resident)}, ${lifeWords(resident, length)}, now in ${present?.code ?? '?'}`}</Soft>
      <Soft>
        Make the new home ready and damp first. Nothing between animal and freedom but a closed door and a tub.
      </Soft>
      <Cautions who={resident} before="handle" />
      <QuietPanel residentId={resident.id} more="It is not moved now, unless it is in danger where it is." />
      {chosen ? (
        <>
          <LinkRow
            links={[
              {
                title: `Compare ${chosen.code} with ${present?.code ?? 'its home'}`,
                onPress: () => router.push(`/residents/${resident.id}/compare?with=${chosen.id}`),
              },
              {
                title: `Build sheet for ${chosen.code}`,
                onPress: () => router.push(`/build?homes=${chosen.id}&for=${resident.id}`),
              },
            ]}
          />
          <CompanyChecks answer={companyOf(care, resident, chosen, residents)} />
        </>
      ) : null}
      <RankedBoxes
        ranking={ranking}
        withOthers={withOthers}
        homes={homes}
        presentId={resident.homeId}
        chosenId={chosenId}
        onChoose={setChosenId}
      />
      <SizeLadder
        profile={care.of(resident)}
        animal={{ ...resident, school: airSchool(care.of(resident), resident.schools) }}
      />
    </Screen>
  );
}
