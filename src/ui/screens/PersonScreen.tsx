import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Pairing, Person } from '@/contract/access';
import { ROLES, type Role } from '@/contract/roles';
import { ROLE_WORDS } from '@/words/access';
import { timeWords } from '@/words/days';
import { NewPasswordField } from '../access/fields';
import { Scannable } from '../access/Scannable';
import { SessionList } from '../access/SessionList';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { useFields } from '../forms/useFields';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { useConfirm } from '../kit/useConfirm';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** One of those who may come in, as a keeper sees them. */
export function PersonScreen({ id }: { id: string }) {
  const [asked, askAgain] = useState(0);
  const { answer, problem, again } = useCall(`${id} ${asked}`, () => call('people', {}));
  const person = answer?.people.find((each) => each.id === id);
  return (
    <Screen>
      <PaneHeader back="/people" title="People" />
      {answer ? null : <Waiting {...{ problem, again }}>Looking who that is…</Waiting>}
      {answer && !person ? <Body>Nobody of that address may come in. It may have been an old link.</Body> : null}
      {person ? <PersonCard key={person.id} person={person} changed={() => askAgain(asked + 1)} /> : null}
    </Screen>
  );
}

function PersonCard({ person, changed }: { person: Person; changed: () => void }) {
  const { id, name, role, hasPassword } = person;
  const show = useLog((log) => log.show);
  const form = useFields({ password: '' });
  const { ask, dialog } = useConfirm();
  const trying = async (work: () => Promise<unknown>) => {
    try {
      await work();
      changed();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const setRole = (next: Role) => void trying(() => call('changePerson', { params: { id }, body: { role: next } }));
  const setPassword = async ({ password }: { password: string }) => {
    await call('changePerson', { params: { id }, body: { password } });
    form.reset();
    show({ text: `${name} has another password now, and signs in anew.` });
    changed();
  };
  const remove = () =>
    trying(async () => {
      await call('removePerson', { params: { id } });
      router.replace('/people');
    });
  return (
    <View style={{ gap: space.m }}>
      <Title>{name}</Title>
      <Choices
        label={`What ${name} may do`}
        choices={ROLES.map((value) => ({ value, title: ROLE_WORDS[value].title }))}
        value={role}
        onChange={setRole}
      />
      <Soft>{ROLE_WORDS[role].does}</Soft>
      <PairPhone person={person} />
      <Heading>Where {name} is signed in</Heading>
      <SessionList personId={id} />
      <Heading>{hasPassword ? 'Another password' : 'A password'}</Heading>
      <Form form={form} act="Set it" rank="second" disabled={form.values.password === ''} save={setPassword}>
        <NewPasswordField
          control={form.control}
          name="password"
          label={`Password of ${name}`}
          more=" Everybody changes their own."
        />
      </Form>
      <Button
        rank="second"
        title={`Let ${name} in no more`}
        onPress={() =>
          ask({
            title: `Let ${name} in no more?`,
            text: `All sessions of ${name} end at once. What ${name} wrote down stays.`,
            act: 'Let in no more',
            run: remove,
          })
        }
      />
      {dialog}
    </View>
  );
}

/** A code for the camera of their phone: it signs them in, once. */
function PairPhone({ person: { id, name } }: { person: Person }) {
  const [pairing, setPairing] = useState<Pairing>();
  const show = useLog((log) => log.show);
  const begin = () =>
    call('beginPairing', { params: { id } }).then(setPairing, (error: unknown) =>
      show({ text: problemOf(error), isProblem: true }),
    );
  const isHere = pairing && /^http:\/\/(localhost|127\.|\[::1\])/.test(pairing.address);
  return (
    <>
      <Heading>A phone of theirs</Heading>
      {pairing && isHere ? (
        <Body>The house answers this machine alone: for a phone start it with bin/start --lan.</Body>
      ) : null}
      {pairing && !isHere ? <Scannable label={`Code that signs a phone in as ${name}`} {...pairing} /> : null}
      {pairing ? (
        <>
          <Soft>{`${isHere ? 'Another browser here' : 'The camera of the phone'} opens it. It works once, until ${timeWords(pairing.endsAt)}.`}</Soft>
          <Body selectable>{pairing.address}</Body>
        </>
      ) : null}
      <Button
        rank={pairing ? 'second' : 'main'}
        title={pairing ? 'Another code' : `Show a code for a phone of ${name}`}
        onPress={() => void begin()}
      />
    </>
  );
}
