import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { undoing, useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import type { Resident } from '@/contract/records';
import { HIGHEST_INSTAR } from '@/core/profiles/profile';
import { whyTwo } from '@/core/records/joining';
import { withoutUndefined } from '@/core/withoutUndefined';
import { Body, Soft } from '../components/Words';
import { anyLength, headCountIn, headsCheck, instarCheck, instarIn, lengthIn, orEmpty } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { sizeField, useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';

interface Props {
  resident: Resident;
  onDone: () => void;
}

/** "12 of 15 are now in instar 4": as it is said, so it is written. */
export function InstarForm({ resident, onDone }: Props) {
  const write = useLog((log) => log.write);
  const start = { on: TODAY, count: '', instar: '' };
  const form = useFields(start);
  const save = async ({ on, ...typed }: typeof start) => {
    const [count = 0, instar = 0] = [headCountIn(typed.count), instarIn(typed.instar)];
    const entry = { kind: 'moulted', residentId: resident.id, count, instar, ...onDay(on) } as const;
    if (await write(entry, `${calledWords(resident)}: ${count} in instar ${instar}.`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <When control={form.control} />
      <FormField
        control={form.control}
        name="count"
        label={`How many of the ${resident.headCount ?? ''} are there now`.replace('  ', ' ')}
        check={headsCheck}
        hint="With those that were there before."
        steps={{ least: 1, most: resident.headCount ?? 1_000_000 }}
      />
      <FormField
        control={form.control}
        name="instar"
        label="In which instar"
        check={instarCheck}
        hint="The first one out of the egg is 1."
        steps={{ least: 1, most: HIGHEST_INSTAR, from: resident.instar }}
      />
    </Form>
  );
}

/** All the eggs that will hatch have hatched: what is left is a group from now on. */
export function HatchForm({ resident, onDone }: Props) {
  const write = useLog((log) => log.write);
  const length = useLength();
  const { measure } = useHouse((house) => house.care).of({ ...resident, stage: undefined });
  const start = { on: TODAY, headCount: '', size: '' };
  const form = useFields(start, sizeField);
  const save = async ({ on, ...typed }: typeof start) => {
    const headCount = headCountIn(typed.headCount) ?? 0;
    const entry = {
      ...({ kind: 'hatched', residentId: resident.id, headCount } as const),
      ...withoutUndefined({ [measure.takes]: lengthIn(typed.size, length.unit) }),
      ...onDay(on),
    };
    if (await write(entry, `${calledWords(resident)}: ${headCount} hatched.`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <Soft>
        Once all that will hatch have hatched. While only some are out, move those to a box of their own with “Take some
        out”.
      </Soft>
      <When control={form.control} />
      <FormField
        control={form.control}
        name="headCount"
        label="How many hatched"
        check={headsCheck}
        steps={{ least: 1, most: resident.headCount ?? 1_000_000, from: resident.headCount }}
      />
      <FormField
        control={form.control}
        name="size"
        label={`${capital(measure.name)} of one, ${length.unit}`}
        check={orEmpty(anyLength(length.unit))}
        hint="Leave empty for what is usual."
        keyboard="decimal-pad"
      />
    </Form>
  );
}

/** Another group of the same kind comes in, and the two are one. */
export function JoinForm({ resident, onDone }: Props) {
  const { residents, homes, load } = useHouse();
  const show = useLog((log) => log.show);
  const form = useFields({ otherId: '' });
  const { otherId } = form.values;
  const others = residents.filter((each) => each.id !== resident.id && each.form !== 'single');
  const same = others.filter((each) => whyTwo(resident, each) === null);
  const save = async () => {
    const body = { otherId, ...keeperField() };
    const { entry } = await call('joinResident', { params: { id: resident.id }, body });
    await load();
    show({ text: `${calledWords(resident)}: joined.`, ...undoing(entry.id) });
    onDone();
  };
  const codeOf = (each: Resident) => homes.find((home) => home.id === each.homeId)?.code ?? '?';
  return (
    <View style={{ gap: space.m }}>
      <Soft>
        Only groups of its own kind come in: of others the young could not be told apart, and nobody could say any more
        what is what.
      </Soft>
      {same.length === 0 ? (
        <Body>{`There is no other group of ${resident.scientificName} here.`}</Body>
      ) : (
        <Form form={form} act="Make them one" disabled={otherId === ''} save={save}>
          <FormChoices
            control={form.control}
            name="otherId"
            label="Which group comes in"
            choices={same.map((each) => ({ value: each.id, title: `${codeOf(each)} ${calledWords(each)}` }))}
          />
        </Form>
      )}
    </View>
  );
}
