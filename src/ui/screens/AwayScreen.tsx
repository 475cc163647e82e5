import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import { Button } from '../kit/Button';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Soft, Strong, Title } from '../components/Words';
import { SheetBody } from '../seasons/SheetBody';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { Waiting } from '../kit/Waiting';

/** One absence: what to do before, and the sheet for whoever looks in, as a page of its own and to print. */
export function AwayScreen({ id }: { id: string }) {
  const round = useHouse((house) => house.round);
  const show = useLog((log) => log.show);
  const { answer, problem, again } = useCall(round, () => call('absenceSheet', { params: { id } }));
  const [address, setAddress] = useState<string>();
  const trying = async (work: () => Promise<unknown>) => {
    try {
      await work();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const openPage = () =>
    trying(async () => {
      const { path } = await call('openSitterPage', { params: { id } });
      setAddress(`${window.location.origin}${path}`);
    });
  const giveUp = () =>
    trying(async () => {
      await call('dropAbsence', { params: { id } });
      router.replace('/seasons?part=away');
    });
  return (
    <Screen
      actions={
        <Button grow title="Sheet as PDF" onPress={() => window.open(`/api/absences/${id}/sheet.pdf`, '_blank')} />
      }
    >
      <PaneHeader back="/seasons?part=away" title="Away" />
      <Title>While you are away</Title>
      {!answer || !round ? (
        <Waiting {...{ problem, again }}>Working it out…</Waiting>
      ) : (
        <>
          <Strong>{`${dayWords(answer.from, round.on)} to ${dayWords(answer.until, round.on)}`}</Strong>
          <View style={{ gap: space.s, marginVertical: space.m }}>
            <Button rank="second" title="A page for the sitter" onPress={() => void openPage()} />
            {address === undefined ? (
              <Soft>A page that shows only what is to be done, at an address nobody can guess.</Soft>
            ) : (
              <Body selectable>{address}</Body>
            )}
            <Button rank="second" title="Give this absence up" onPress={() => void giveUp()} />
          </View>
          <SheetBody sheet={answer} forSitter={false} />
        </>
      )}
    </Screen>
  );
}
