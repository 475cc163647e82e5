import { airSchool } from '@/core/profiles/schools';
import { router } from 'expo-router';
import { useState } from 'react';
import { companyOf } from '@/client/company';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useNewBoxes } from '@/client/useNewBoxes';
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
import { NewBox } from '../housing/NewBox';
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
  const [isBusy, setBusy] = useState(false);
  const loading = useLoadState();
  const { resident, present, ranking, withOthers } = useRanking(residentId);
  const { boxesToGet, addBox } = useNewBoxes();
  const show = useLog((log) => log.show);
  const isQuiet = useQuiet(residentId) !== null;
  if (loading) return <Screen>{loading}</Screen>;
  if (!resident) return <NobodyHere />;
  const chosen = homes.find((home) => home.id === chosenId && home.id !== resident.homeId);
  const serves = ranking.some(({ homeId, verdict }) => homeId !== resident.homeId && verdict !== 'fail');
  const toGet = boxesToGet(resident, chosenId, present?.shelfId);
  const { newBox, shelf } = toGet;
  const fails = [...ranking, ...withOthers].find((each) => each.homeId === chosen?.id)?.verdict === 'fail';
  const title = newBox
    ? `Add it as ${newBox.home.code}, and on to the move`
    : chosen
      ? `Move to ${chosen.code}${fails ? ' all the same' : ''}`
      : 'Choose a box to move to';
  const fresh = <NewBox {...toGet} isOpen={!serves} onChoose={setChosenId} />;
  const onward = async () => {
    setBusy(true);
    try {
      const box = newBox ? await addBox(newBox.home) : chosen;
      if (!box) return;
      setChosenId(box.id);
      router.push(`/residents/${resident.id}/move?to=${box.id}`);
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Screen
      actions={
        <Button
          grow
          rank={fails || isQuiet ? 'second' : 'main'}
          disabled={isBusy || (newBox ? !shelf : !chosen)}
          title={title}
          onPress={() => void onward()}
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
      {/* What nobody has yet comes first where none of one's own serves. */}
      {serves ? null : fresh}
      <RankedBoxes
        ranking={ranking}
        withOthers={withOthers}
        homes={homes}
        presentId={resident.homeId}
        chosenId={chosenId}
        onChoose={setChosenId}
      />
      {serves ? fresh : null}
      <SizeLadder
        profile={care.of(resident)}
        animal={{ ...resident, school: airSchool(care.of(resident), resident.schools) }}
      />
    </Screen>
  );
}
