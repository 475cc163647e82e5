import { startAuthentication } from '@simplewebauthn/browser';
import { useState } from 'react';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import { problemOf } from '@/client/house';
import { Body } from '../components/Words';
import { Button } from '../kit/Button';

/** Two taps: this one, and the finger or face that the phone asks for. */
export function PasskeyButton() {
  const heard = useAccess((store) => store.heard);
  const [problem, setProblem] = useState<string>();
  const open = async () => {
    setProblem(undefined);
    try {
      const optionsJSON = (await call('passkeySignInOptions', {})) as never;
      const answer = await startAuthentication({ optionsJSON });
      heard(await call('passkeySignIn', { body: { ...answer } as Record<string, unknown> }));
    } catch (error) {
      const isGivenUp = error instanceof Error && error.name === 'NotAllowedError';
      setProblem(isGivenUp ? 'The passkey was not given. Try again, or use the password.' : problemOf(error));
    }
  };
  return (
    <>
      <Button title="Use a passkey" onPress={() => void open()} />
      {problem === undefined ? null : <Body role="alert">{problem}</Body>}
    </>
  );
}
