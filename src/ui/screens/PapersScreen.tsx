import { View } from 'react-native';
import { call } from '@/client/api';
import { useDangers } from '@/client/dangers';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { Failed } from '../kit/Failed';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { NobodyHere } from '../residents/NobodyHere';
import { FormChoices } from '../forms/FormChoices';
import { FormDay } from '../forms/FormDay';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';

const USUAL = ['Permit to keep', 'CITES paper', 'Proof of origin', 'Import paper'];

/** The papers of one resident: what they are, until when they hold; those that end come up on the round in time. */
export function PapersScreen({ residentId }: { residentId: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === residentId));
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  return resident ? <Papers key={residentId} resident={resident} /> : <NobodyHere />;
}

const START = { paper: '', other: '', number: '', expiresOn: '' };

function Papers({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const write = useLog((log) => log.write);
  const { law } = useDangers(resident);
  const params = { id: resident.id };
  const { answer, problem, again } = useCall(round, () => call('history', { params, query: { kinds: 'paper' } }));
  const form = useFields(START);
  const { control, values } = form;
  const today = round?.on ?? '';
  const title = (values.paper === 'other' ? values.other : values.paper).trim();
  const keep = form.handleSubmit(async ({ number, expiresOn }) => {
    const entry = {
      ...{ kind: 'paper' as const, residentId: resident.id, paper: title },
      ...(number.trim() !== '' && { number: number.trim() }),
      ...(expiresOn !== '' && { expiresOn }),
    };
    if (await write(entry, `${calledWords(resident)}: ${title} written down.`, form.place)) form.reset();
  });
  const entries = (answer?.entries ?? [])
    .filter((entry) => entry.kind === 'paper')
    .filter(({ undoneAt }) => undoneAt === null);
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button grow title="Keep" disabled={title === ''} onPress={() => void keep()} />
        </>
      }
    >
      <PaneHeader back={`/residents/${resident.id}`} title={calledWords(resident)} />
      <Title>Papers</Title>
      <Name>{resident.scientificName}</Name>
      {law ? <Body>{law.text}</Body> : <Soft>No papers are known to be needed; your own authority decides.</Soft>}
      {resident.permit === null ? null : <Soft>{`Written when it was taken in: ${resident.permit}`}</Soft>}
      {problem !== undefined ? <Failed {...{ problem, again }} /> : null}
      {answer && entries.length === 0 ? <Body style={{ marginTop: space.m }}>None written down yet.</Body> : null}
      {entries.map(({ id, on, data }) => (
        <View key={id} style={{ marginTop: space.m }}>
          <Strong>{[data.paper, data.number].filter((each) => each !== undefined).join(' ')}</Strong>
          <Soft>
            {`written down ${dayWords(on, today)}, ${data.expiresOn !== undefined ? `holds until ${dayWords(data.expiresOn, today)}` : 'without an end'}`}
          </Soft>
        </View>
      ))}
      {answer || problem !== undefined ? (
        <View style={{ gap: space.m, marginTop: space.xl }}>
          <Heading>Write papers down, or their renewal</Heading>
          <FormChoices
            control={control}
            name="paper"
            label="What they are"
            choices={[...USUAL.map((each) => ({ value: each, title: each })), { value: 'other', title: 'other' }]}
          />
          {values.paper === 'other' ? <FormField control={control} name="other" label="What they are called" /> : null}
          <FormField control={control} name="number" label="Number, if any" />
          <FormDay
            control={control}
            name="expiresOn"
            label="Last day on which they hold"
            none="without an end"
            isOptional
            hint="From 60 days before, the round asks for their renewal."
          />
        </View>
      ) : null}
    </Screen>
  );
}
