import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useKeepers } from '@/client/keepers';
import { useLog } from '@/client/log';
import { addDays, daysBetween } from '@/core/measure/day';
import { ListRow } from '../kit/ListRow';
import { Heading, Soft, Strong } from '../components/Words';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormDay } from '../forms/FormDay';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { useCall } from '@/client/useCall';
import { dayWords, daysWords } from '@/words/days';
import { Waiting } from '../kit/Waiting';

const EVERYBODY = 'all';

/** Who is away when, and what the boxes need meanwhile. */
export function AwayBoard() {
  const round = useHouse((house) => house.round);
  const [version, setVersion] = useState(0);
  const { keepers, load } = useKeepers();
  const { answer, problem, again } = useCall(version, () => call('absences', {}));
  useEffect(() => {
    if (keepers === null) void load();
  }, [keepers, load]);
  if (problem !== undefined || !answer || !round) return <Waiting {...{ problem, again }}>Looking it up…</Waiting>;
  const who = (keeperId: string | null) =>
    keeperId === null
      ? 'Nobody of the house is there'
      : `${keepers?.find(({ id }) => id === keeperId)?.name ?? 'A keeper'} is away`;
  return (
    <View style={{ gap: space.m, marginTop: space.m }}>
      {answer.absences.length === 0 ? <Soft>No absence is planned.</Soft> : null}
      {answer.absences.map(({ id, keeperId, from, until, sitter }) => (
        <ListRow key={id} label={`Open the sheet for ${from}`} onPress={() => router.push(`/seasons/away/${id}`)}>
          <Strong>{`${dayWords(from, round.on)} to ${dayWords(until, round.on)}, ${daysWords(daysBetween(from, until) + 1)}`}</Strong>
          <Soft>{`${who(keeperId)}${sitter === null ? '' : `; ${sitter} looks in`}`}</Soft>
        </ListRow>
      ))}
      <NewAbsence today={round.on} onPlanned={() => setVersion(version + 1)} />
    </View>
  );
}

function NewAbsence({ today, onPlanned }: { today: string; onPlanned: () => void }) {
  const keepers = useKeepers((state) => state.keepers) ?? [];
  const show = useLog((log) => log.show);
  const form = useFields({
    from: addDays(today, 7),
    until: addDays(today, 13),
    keeperId: EVERYBODY,
    sitter: '',
    call: '',
  });
  const { control, values } = form;
  const plan = async ({ from, until, keeperId, ...typed }: typeof values) => {
    const [sitter, phone] = [typed.sitter.trim(), typed.call.trim()];
    await call('addAbsence', {
      body: {
        ...{ from, until },
        ...(keeperId !== EVERYBODY && { keeperId }),
        ...(sitter !== '' && { sitter }),
        ...(phone !== '' && { call: phone }),
      },
    });
    show({ text: 'Planned. Its sheet says what to do before, and what a sitter does.' });
    onPlanned();
  };
  return (
    <View style={{ gap: space.m }}>
      <Heading>Plan an absence</Heading>
      <Form form={form} act="Plan it" save={plan}>
        <FormChoices
          control={control}
          name="keeperId"
          label="Who is away"
          choices={[
            { value: EVERYBODY, title: 'everybody' },
            ...keepers.map(({ id, name }) => ({ value: id, title: name })),
          ]}
        />
        <FormDay control={control} name="from" label="First day" min={today} />
        <FormDay control={control} name="until" label="Last day" min={values.from || today} />
        <FormField control={control} name="sitter" label="Who looks in, if anybody" />
        <FormField control={control} name="call" label="Whom to call, and how" hint="Stands large on the sheet." />
      </Form>
    </View>
  );
}
