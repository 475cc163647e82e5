import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import { problemOf } from '@/client/house';
import { Screen } from '../components/Screen';
import { Body, Title } from '../components/Words';
import { Button } from '../kit/Button';
import { Waiting } from '../kit/Waiting';

/** A phone that has read a code from the screen of a keeper: it is let in, and begins with the walk. */
export function PairScreen() {
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    // Behind the #, which the browser sends to nobody; used once, and gone from the history.
    const secret = window.location.hash.slice(1);
    window.history.replaceState(null, '', window.location.pathname);
    call('pairPhone', { body: { secret: secret || 'none' } }).then(
      (access) => {
        useAccess.getState().heard(access);
        router.replace('/round');
      },
      (error: unknown) => setProblem(problemOf(error)),
    );
  }, []);
  return (
    <Screen actions={problem ? <Button grow title="Sign in" onPress={() => router.replace('/round')} /> : null}>
      <Title>Pairing this phone</Title>
      {problem === undefined ? <Waiting>Coming in…</Waiting> : <Body role="alert">{problem}</Body>}
    </Screen>
  );
}
