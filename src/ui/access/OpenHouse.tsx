import { View } from 'react-native';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import { usePreferences } from '@/client/preferences';
import { Body, Heading, Soft } from '../components/Words';
import { Form } from '../forms/Form';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { NameField, NewPasswordField } from './fields';

/** A house where nobody signs in: what that means, and how it gets a door. */
export function OpenHouse() {
  const heard = useAccess((store) => store.heard);
  const keeper = usePreferences((preferences) => preferences.keeper);
  const form = useFields({ name: keeper, password: '' });
  return (
    <View style={{ gap: space.m, marginTop: space.s }}>
      <Body>
        Nobody signs in to this house yet: whoever sits at this machine is its keeper, and no other machine is answered
        unless it is started for the home network.
      </Body>
      <Heading>Give it a door</Heading>
      <Form
        form={form}
        act="Become its keeper"
        disabled={form.values.name.trim() === '' || form.values.password === ''}
        save={async (body) => heard(await call('setUp', { body }))}
      >
        <NameField control={form.control} name="name" />
        <NewPasswordField control={form.control} name="password" />
      </Form>
      <Soft>
        From then on everybody signs in, at this machine too. Then let others in: helpers, readers, their phones.
      </Soft>
    </View>
  );
}
