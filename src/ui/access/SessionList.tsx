import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useToday } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Session } from '@/contract/access';
import { momentWords } from '@/words/days';
import { Soft, Strong } from '../components/Words';
import { Button } from '../kit/Button';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** Where somebody is signed in, each to be ended at once. */
export function SessionList({ personId }: { personId: string }) {
  const [asked, askAgain] = useState(0);
  const { answer, problem, again } = useCall(`${personId} ${asked}`, () => call('sessions', {}));
  const show = useLog((log) => log.show);
  const today = useToday();
  const end = async ({ id, device }: Session) => {
    try {
      await call('endSession', { params: { id } });
      show({ text: `Signed out: ${device}.` });
      askAgain(asked + 1);
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const mine = answer?.sessions.filter((each) => each.personId === personId);
  if (!mine) return <Waiting {...{ problem, again }}>Looking who is in…</Waiting>;
  if (mine.length === 0) return <Soft>Signed in nowhere.</Soft>;
  return (
    <View style={{ gap: space.m }}>
      {mine.map((session) => (
        <View key={session.id} style={{ flexDirection: 'row', alignItems: 'center', gap: space.m }}>
          <View style={{ flex: 1 }}>
            <Strong>{`${session.device}${session.isThis ? ', this one' : ''}`}</Strong>
            <Soft>{`${session.isShared ? 'Shared. ' : ''}Last seen ${momentWords(session.seenAt, today)}`}</Soft>
          </View>
          {session.isThis ? null : <Button rank="second" title="Sign out" onPress={() => void end(session)} />}
        </View>
      ))}
    </View>
  );
}
