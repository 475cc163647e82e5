import { useState } from 'react';
import { startRegistration } from '@simplewebauthn/browser';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import { problemOf, useToday } from '@/client/house';
import { useLog } from '@/client/log';
import { useQueue } from '@/client/queue';
import { useCall } from '@/client/useCall';
import type { Access, Passkey } from '@/contract/access';
import { ROLE_WORDS } from '@/words/access';
import { countWords } from '@/words/count';
import { momentWords } from '@/words/days';
import { NewPasswordField, PinField } from '../access/fields';
import { SessionList } from '../access/SessionList';
import { LinkRow } from '../components/LinkRow';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { useConfirm } from '../kit/useConfirm';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** One's own way in: what opens the house, where it is open, and the way out. */
export function OwnAccessScreen() {
  const { access, signOut, lock } = useAccess();
  const unsent = useQueue((queue) => queue.acts.length);
  const { ask, dialog } = useConfirm();
  const leave = () =>
    unsent === 0
      ? void signOut()
      : ask({
          title: 'Sign out with unsent answers?',
          text: `${countWords(unsent, 'answer')} of this phone did not reach the server yet. They wait here, and are sent when you sign in on it again.`,
          act: 'Sign out',
          run: signOut,
        });
  if (!access?.who) {
    return (
      <Screen>
        <PaneHeader back="/people" title="People" />
        <Title>Your way in</Title>
        {access ? (
          <>
            <Body>Nobody signs in to this house.</Body>
            <LinkRow links={[{ title: 'Give it a door', onPress: () => router.push('/people') }]} />
          </>
        ) : (
          <Waiting>Looking who you are…</Waiting>
        )}
      </Screen>
    );
  }
  return (
    <Screen actions={<Button grow title="Sign out" onPress={leave} />}>
      <PaneHeader back="/people" title="People" />
      <Title>{access.who.name}</Title>
      <View style={{ gap: space.m }}>
        <Soft>{`You are a ${ROLE_WORDS[access.who.role].title}. ${ROLE_WORDS[access.who.role].does}`}</Soft>
        <Heading>Where you are signed in</Heading>
        <SessionList personId={access.who.id} />
        <LockSettings access={access} lock={() => void lock()} />
        <OwnPasskeys canHave={access.canHavePasskeys} />
        <OwnPassword />
      </View>
      {dialog}
    </Screen>
  );
}

const LOCKS = [
  { value: '', title: 'never' },
  { value: '5', title: 'after 5 minutes' },
  { value: '30', title: 'after 30 minutes' },
] as const;

/** When this page locks itself, and the PIN that opens it. */
function LockSettings({ access, lock }: { access: Access; lock: () => void }) {
  const heard = useAccess((store) => store.heard);
  const show = useLog((log) => log.show);
  const form = useFields({ pin: '' });
  const hasPin = access.who !== null && access.withPin.includes(access.who.name);
  const setLock = (value: string) =>
    call('changeOwnAccess', { body: { lockAfterMin: value === '' ? null : Number(value) } }).then(
      heard,
      (error: unknown) => show({ text: problemOf(error), isProblem: true }),
    );
  const setPin = async ({ pin }: { pin: string }) => {
    heard(await call('changeOwnAccess', { body: { pin } }));
    form.reset();
    show({ text: 'Your PIN opens a locked page from now on.' });
  };
  return (
    <>
      <Heading>Lock</Heading>
      <Choices
        label="This page locks itself"
        // A page that several use does not stay open.
        choices={LOCKS.filter(({ value }) => value !== '' || !access.isShared)}
        value={String(access.lockAfterMin ?? '')}
        onChange={(value) => void setLock(value)}
      />
      <Form
        form={form}
        act={hasPin ? 'Change the PIN' : 'Set the PIN'}
        rank="second"
        disabled={form.values.pin.length < 4}
        save={setPin}
      >
        <PinField
          control={form.control}
          name="pin"
          hint={
            hasPin
              ? 'You have one. Four to eight digits.'
              : 'Four to eight digits: opens a page that is locked, and no other.'
          }
        />
      </Form>
      {hasPin ? <Button rank="second" title="Lock now" onPress={lock} /> : null}
    </>
  );
}

function OwnPasskeys({ canHave }: { canHave: boolean }) {
  const [asked, askAgain] = useState(0);
  const { answer, problem, again } = useCall(asked, () => call('ownPasskeys', {}));
  const today = useToday();
  const show = useLog((log) => log.show);
  const trying = (work: () => Promise<unknown>) =>
    work().then(
      () => askAgain(asked + 1),
      (error: unknown) => {
        const isGivenUp = error instanceof Error && error.name === 'NotAllowedError';
        show({ text: isGivenUp ? 'No passkey was made.' : problemOf(error), isProblem: true });
      },
    );
  const make = () =>
    trying(async () => {
      const optionsJSON = (await call('newPasskeyOptions', {})) as never;
      const made = await startRegistration({ optionsJSON });
      const name = `Passkey ${(answer?.passkeys.length ?? 0) + 1}`;
      await call('addPasskey', { body: { name, answer: { ...made } as Record<string, unknown> } });
    });
  const words = ({ madeAt, usedAt }: Passkey) =>
    usedAt === null ? `Made ${momentWords(madeAt, today)}, never used.` : `Last used ${momentWords(usedAt, today)}.`;
  return (
    <>
      <Heading>Passkeys</Heading>
      {answer ? null : <Waiting {...{ problem, again }}>Looking for your passkeys…</Waiting>}
      {(answer?.passkeys ?? []).map((passkey) => (
        <View key={passkey.id} style={{ flexDirection: 'row', alignItems: 'center', gap: space.m }}>
          <View style={{ flex: 1 }}>
            <Strong>{passkey.name}</Strong>
            <Soft>{words(passkey)}</Soft>
          </View>
          <Button
            rank="second"
            title="Forget"
            onPress={() => void trying(() => call('removePasskey', { params: { passkeyId: passkey.id } }))}
          />
        </View>
      ))}
      {canHave ? (
        <Button rank="second" title="Make a passkey" onPress={() => void make()} />
      ) : (
        <Soft>A passkey belongs to a name. Open the house under its name, not under its number, to make one.</Soft>
      )}
    </>
  );
}

function OwnPassword() {
  const form = useFields({ before: '', password: '' });
  const show = useLog((log) => log.show);
  const save = async ({ before, password }: { before: string; password: string }) => {
    useAccess.getState().heard(await call('changeOwnAccess', { body: { password, ...(before !== '' && { before }) } }));
    form.reset();
    show({ text: 'You have another password now. Your other sessions have ended.' });
  };
  return (
    <>
      <Heading>Password</Heading>
      <Form form={form} act="Change the password" rank="second" disabled={form.values.password === ''} save={save}>
        <FormField
          control={form.control}
          name="before"
          label="The one up to now"
          isSecret="current-password"
          hint="Left empty where you have none."
        />
        <NewPasswordField control={form.control} name="password" label="The new one" />
      </Form>
    </>
  );
}
