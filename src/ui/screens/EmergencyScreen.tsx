import { useEffect } from 'react';
import { Linking, View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { dangersIn } from '@/client/dangers';
import { useHandbook } from '@/client/handbook';
import { useHouse } from '@/client/house';
import { openPaper } from '@/client/paper';
import { useLog } from '@/client/log';
import type { EmergencyCard } from '@/contract/handbook';
import { findByName } from '@/core/profiles/knownNames';
import { whoCanHurt } from '@/core/handbook/whoCanHurt';
import { Button } from '../kit/Button';
import { Fold } from '../kit/Fold';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space, stroke, target } from '../theme/tokens';
import { Waiting } from '../kit/Waiting';

/** Whom the numbers of a house are usually for; each keeper writes the number that holds there. */
const USUAL = ['Emergency services', 'Poison centre', 'Doctor', 'Veterinarian', 'A keeper nearby'];

/** Whom to call, where the house is, and what lives here that can hurt; it gives no treatment. */
export function EmergencyScreen() {
  const { emergency, loadEmergency } = useHandbook();
  useEffect(() => void loadEmergency(), [loadEmergency]);
  return (
    <Screen actions={<Button grow rank="second" title="Print" onPress={() => openPaper('emergency')} />}>
      <PaneHeader back="/handbook" title="Handbook" />
      <Title>Emergency card</Title>
      <Body>
        Bites, stings, hairs or liquid in an eye, trouble breathing, feeling faint: the emergency services or a poison
        centre at once. Say what animal it was by its scientific name.
      </Body>
      {emergency ? <Numbers card={emergency} /> : <Waiting>Looking it up…</Waiting>}
      <WhoCanHurt />
      <Soft style={{ marginTop: space.l }}>
        This card gives no treatment. Doctors, poison centres and local rules come before anything written here.
      </Soft>
      {emergency ? <CardForm key={JSON.stringify(emergency)} card={emergency} /> : null}
    </Screen>
  );
}

function Numbers({ card: { contacts, address } }: { card: EmergencyCard }) {
  const styles = useStyles();
  return (
    <View style={styles.numbers}>
      {contacts.length === 0 ? <Strong>No numbers are written down yet: do it now, below.</Strong> : null}
      {contacts.map(({ who, number }) => (
        <View key={`${who} ${number}`} style={styles.number}>
          <Strong style={styles.who}>{who}</Strong>
          <Button title={number} onPress={() => void Linking.openURL(`tel:${number.replace(/[^+\d]/g, '')}`)} />
        </View>
      ))}
      {address === '' ? null : (
        <View>
          <Strong>This house</Strong>
          <Body>{address}</Body>
        </View>
      )}
    </View>
  );
}

/** Every species of the house that can hurt, with what it does: to be read out on the telephone. */
function WhoCanHurt() {
  const { residents, species, hazards, homes, care } = useHouse();
  const rows = whoCanHurt(residents, (who) => dangersIn(hazards, species, care, who)).map(
    ({ one, hazards: dangers, homeIds }) => ({
      resident: one,
      titles: dangers.map(({ title }) => title).join(', '),
      codes: homeIds.flatMap((homeId) => homes.find(({ id }) => id === homeId)?.code ?? []).join(', '),
    }),
  );
  if (rows.length === 0) return null;
  return (
    <View style={{ gap: space.s, marginTop: space.l }}>
      <Heading>Who here can hurt</Heading>
      {rows.map(({ resident, titles, codes }) => (
        <View key={resident.id}>
          <Name>{resident.scientificName}</Name>
          <Soft>
            {[findByName(species, resident.scientificName)?.commonName ?? resident.commonName, titles, codes]
              .filter((word) => word !== null && word !== undefined)
              .join('; ')}
          </Soft>
        </View>
      ))}
    </View>
  );
}

interface CardValues {
  contacts: { who: string; number: string }[];
  address: string;
}

function CardForm({ card }: { card: EmergencyCard }) {
  const loadEmergency = useHandbook((handbook) => handbook.loadEmergency);
  const show = useLog((log) => log.show);
  const start = USUAL.map((who) => card.contacts.find((each) => each.who === who) ?? { who, number: '' });
  const others = card.contacts.filter(({ who }) => !USUAL.includes(who));
  const form = useFields<CardValues>(
    { contacts: [...start, ...others, { who: '', number: '' }], address: card.address },
    (path) => path,
  );
  const { control, values } = form;
  const save = async ({ contacts, address }: CardValues) => {
    const given = contacts.map((each, index) => ({ ...each, index })).filter(({ number }) => number.trim() !== '');
    try {
      const body = { contacts: given.map(({ who, number }) => ({ who, number })), address };
      await call('setEmergency', { body });
    } catch (error) {
      if (!(error instanceof CallFailed)) throw error;
      // The server counts those that were sent; each is shown at its own line.
      const at = (path: string) =>
        path.replace(/^contacts\.(\d+)/, (_, sent) => `contacts.${given[Number(sent)]?.index}`);
      throw new CallFailed(
        error.message,
        error.fields.map(({ path, message }) => ({ path: at(path), message })),
      );
    }
    show({ text: 'The emergency card is kept.' });
    await loadEmergency();
  };
  return (
    <View style={{ marginTop: space.xl }}>
      <Fold title="Write the numbers that hold where you are">
        <Form form={form} act="Keep the card" save={save}>
          {values.contacts.map(({ who }, index) => (
            <View key={index} style={{ gap: space.s }}>
              {index < USUAL.length ? null : (
                <FormField control={control} name={`contacts.${index}.who`} label="Somebody else" />
              )}
              <FormField
                control={control}
                name={`contacts.${index}.number`}
                label={index < USUAL.length ? `${who}: number` : `Number of ${who || 'somebody else'}`}
                keyboard="phone-pad"
              />
            </View>
          ))}
          <FormField control={control} name="address" label="Where this house is" lines={2} />
        </Form>
      </Fold>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  numbers: {
    gap: space.m,
    marginTop: space.l,
    padding: space.m,
    borderWidth: stroke.mark,
    borderColor: theme.colors.clay,
  },
  number: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: target },
  who: { flex: 1 },
}));
