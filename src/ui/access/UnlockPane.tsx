import { useState } from 'react';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import type { Access } from '@/contract/access';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { useFields } from '../forms/useFields';
import { Choices } from '../kit/Choices';
import { PinField } from './fields';
import { PasskeyButton } from './PasskeyButton';

/** A page that has locked itself: whose PIN it is, and the PIN. */
export function UnlockPane({ access: { withPin, who, hasPasskeys } }: { access: Access }) {
  const { heard, signOut } = useAccess();
  const [name, setName] = useState(withPin.find((each) => each === who?.name) ?? withPin[0]);
  const form = useFields({ pin: '' });
  const unlock = async ({ pin }: { pin: string }) => {
    try {
      heard(await call('unlockSession', { body: { name: name ?? '', pin } }));
    } catch (error) {
      form.reset();
      // After five wrong ones the session is over, and the page asks for a password.
      void useAccess.getState().load();
      throw error;
    }
  };
  return (
    <>
      <Title>Locked</Title>
      {hasPasskeys ? <PasskeyButton /> : null}
      {name === undefined ? (
        <Body>Nobody here has a PIN. Sign in with your password.</Body>
      ) : (
        <>
          {withPin.length > 1 ? (
            <Choices
              label="Who you are"
              choices={withPin.map((each) => ({ value: each, title: each }))}
              value={name}
              onChange={setName}
            />
          ) : (
            <Soft>{name}</Soft>
          )}
          <Form form={form} act="Unlock" disabled={form.values.pin.length < 4} save={unlock}>
            <PinField
              control={form.control}
              name="pin"
              onSubmit={() => void form.handleSubmit((values) => unlock(values).catch(form.place))()}
            />
          </Form>
        </>
      )}
      <LinkRow links={[{ title: 'Sign in with a password', onPress: () => void signOut() }]} />
    </>
  );
}
