import { useState } from 'react';
import { View } from 'react-native';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import type { Access } from '@/contract/access';
import { Screen } from '../components/Screen';
import { Body, Soft, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { Switch } from '../kit/Switch';
import { space } from '../theme/tokens';
import { NameField, NewPasswordField } from './fields';
import { PasskeyButton } from './PasskeyButton';
import { UnlockPane } from './UnlockPane';

/** In the place of every screen while nobody is in: signing in, unlocking, or setting the house up from another machine. */
export function DoorScreen({ access }: { access: Access }) {
  return (
    <Screen>
      <View style={{ gap: space.l, maxWidth: 440, width: '100%', alignSelf: 'center', marginTop: space.xl }}>
        {access.state === 'locked' ? <UnlockPane access={access} /> : null}
        {access.state === 'setup' ? <SetUpPane /> : null}
        {access.state === 'signed-out' ? <SignInPane access={access} /> : null}
      </View>
    </Screen>
  );
}

function SignInPane({ access }: { access: Access }) {
  const heard = useAccess((store) => store.heard);
  const form = useFields({ name: '', password: '' });
  const [isShared, setShared] = useState(false);
  const save = async ({ name, password }: { name: string; password: string }) =>
    heard(await call('signIn', { body: { name, password, isShared } }));
  return (
    <>
      <Title>Sign in</Title>
      {access.hasPasskeys ? <PasskeyButton /> : null}
      <Form
        form={form}
        act="Sign in"
        rank={access.hasPasskeys ? 'second' : 'main'}
        disabled={form.values.name.trim() === '' || form.values.password === ''}
        save={save}
      >
        <NameField control={form.control} name="name" />
        <FormField
          control={form.control}
          name="password"
          label="Password"
          isSecret="current-password"
          onSubmit={() => void form.handleSubmit((values) => save(values).catch(form.place))()}
        />
        <Switch label="Several of us share this tablet" value={isShared} onChange={setShared} />
        {isShared ? <Soft>It locks after five minutes without a touch; the PIN of each opens it.</Soft> : null}
      </Form>
      <Soft>
        No password yet? A keeper shows you a code under People: your phone reads it, and is in. A password that was
        lost is given anew by another keeper, or by whoever starts the server with --setup.
      </Soft>
    </>
  );
}

function SetUpPane() {
  const heard = useAccess((store) => store.heard);
  const form = useFields({ code: '', name: '', password: '' });
  return (
    <>
      <Title>Set this house up</Title>
      <Body>
        Nobody can sign in yet. Whoever has started the server reads a code in its terminal: it makes you its keeper.
      </Body>
      <Form
        form={form}
        act="Set up and come in"
        disabled={Object.values(form.values).some((text) => text.trim() === '')}
        save={async (body) => heard(await call('setUp', { body }))}
      >
        <FormField control={form.control} name="code" label="Code from the terminal" isSecret="one-time-code" />
        <NameField control={form.control} name="name" />
        <NewPasswordField control={form.control} name="password" />
      </Form>
    </>
  );
}
