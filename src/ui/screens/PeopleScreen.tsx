import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useAccess, useMay } from '@/client/access';
import { call } from '@/client/api';
import { useCall } from '@/client/useCall';
import type { Person } from '@/contract/access';
import { ROLES, type Role } from '@/contract/roles';
import { ROLE_WORDS } from '@/words/access';
import { countWords } from '@/words/count';
import { HomeNetwork } from '../access/HomeNetwork';
import { OpenHouse } from '../access/OpenHouse';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Heading, Soft, Strong, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { Choices } from '../kit/Choices';
import { ListRow } from '../kit/ListRow';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** Who may come in, and as what. Everybody finds themselves here; keepers find the others too. */
export function PeopleScreen({ chosenId }: { chosenId?: string | undefined }) {
  const access = useAccess((store) => store.access);
  const isKeeper = useMay('keeper');
  return (
    <Screen place="/people">
      <PaneHeader back="/settings" title="More" />
      <Title>People</Title>
      {access === null ? <Waiting>Looking who is in…</Waiting> : null}
      {access?.state === 'open' ? <OpenHouse /> : null}
      {access?.state === 'signed-in' ? (
        <>
          <ListRow label="Your own way in" onPress={() => router.push('/people/me')} isChosen={chosenId === 'me'}>
            <Strong>{`You are ${access.who?.name}`}</Strong>
            <Soft>Password, PIN, passkeys, where you are signed in.</Soft>
          </ListRow>
          {isKeeper ? <Everybody chosenId={chosenId} ownId={access.who?.id} /> : null}
        </>
      ) : null}
    </Screen>
  );
}

function Everybody({ chosenId, ownId }: { chosenId?: string | undefined; ownId?: string | undefined }) {
  const { answer, problem, again } = useCall(chosenId, () => call('people', {}));
  if (!answer) return <Waiting {...{ problem, again }}>Looking who may come in…</Waiting>;
  return (
    <>
      {answer.people
        .filter(({ id }) => id !== ownId)
        .map((person) => (
          <ListRow
            key={person.id}
            label={person.name}
            onPress={() => router.push(`/people/${person.id}`)}
            isChosen={person.id === chosenId}
          >
            <Strong>{`${person.name}, ${ROLE_WORDS[person.role].title}`}</Strong>
            <Soft>{waysIn(person)}</Soft>
          </ListRow>
        ))}
      <ListRow
        label="Who came in and what was changed"
        onPress={() => router.push('/people/log')}
        isChosen={chosenId === 'log'}
      >
        <Strong>Who came in</Strong>
        <Soft>Signed in, refused, changed rules, took data out.</Soft>
      </ListRow>
      <AddPerson />
      <HomeNetwork network={answer.network} />
    </>
  );
}

/** "Password and 1 passkey; signed in on 2 devices." */
function waysIn({ hasPassword, passkeys, sessions }: Person): string {
  const ways = [hasPassword ? 'password' : '', passkeys > 0 ? countWords(passkeys, 'passkey') : ''].filter(Boolean);
  const how = ways.length > 0 ? ways.join(' and ') : 'no password: by a paired phone alone';
  return `${how.charAt(0).toUpperCase()}${how.slice(1)}; ${sessions === 0 ? 'signed in nowhere' : `signed in on ${countWords(sessions, 'device')}`}.`;
}

function AddPerson() {
  const [role, setRole] = useState<Role>('helper');
  const form = useFields({ name: '' });
  const add = async ({ name }: { name: string }) => {
    const { person } = await call('addPerson', { body: { name, role } });
    form.reset();
    router.push(`/people/${person.id}`);
  };
  return (
    <View style={{ gap: space.m, marginTop: space.xl }}>
      <Heading>Let somebody in</Heading>
      <Form form={form} act="Add" disabled={form.values.name.trim() === ''} save={add}>
        <FormField control={form.control} name="name" label="Name" />
        <Choices
          label="As what"
          choices={ROLES.map((value) => ({ value, title: ROLE_WORDS[value].title }))}
          value={role}
          onChange={setRole}
        />
        <Soft>{ROLE_WORDS[role].does}</Soft>
      </Form>
      <Soft>Whoever only looks in while you are away needs none of this: an absence makes a page for the sitter.</Soft>
    </View>
  );
}
