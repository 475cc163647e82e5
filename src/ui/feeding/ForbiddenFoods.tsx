import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { whyNotFor } from '@/core/feeding/food';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft, Strong } from '../components/Words';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { itemName } from '@/words/food';
import { calledWords } from '@/words/residents';
import { useNames } from '@/words/useNames';

/** What this one is never given, by its kind and by its keepers; offers of it are refused with the reason. */
export function ForbiddenFoods({ resident }: { resident: Resident }) {
  const names = useNames();
  const { care, load } = useHouse();
  const show = useLog((log) => log.show);
  const form = useFields({ food: '', why: '' });
  const profile = care.of(resident);
  const byKind = names.foods.flatMap((each) => {
    const reason = whyNotFor(each, profile, resident.schools);
    return reason === undefined ? [] : [{ id: each.id, reason }];
  });
  const change = async (forbidden: Resident['forbidden'], text: string) => {
    await call('changeResident', { params: { id: resident.id }, body: { forbidden } });
    await load();
    show({ text: `${calledWords(resident)}: ${text}` });
  };
  const without = (id: string) =>
    Object.fromEntries(Object.entries(resident.forbidden).filter(([each]) => each !== id));
  const forbid = ({ food, why }: typeof form.values) =>
    change({ ...resident.forbidden, [food]: why.trim() }, `never ${itemName(names, food)}.`);
  const choices = profile.feeding
    ? names.feeders.flatMap((kind) => kind.classes.filter((each) => each.isFood).map((each) => each.id))
    : names.foods.map((each) => each.id);
  return (
    <View style={{ marginTop: space.xl }}>
      <Fold title="Never given">
        <View style={{ gap: space.m }}>
          {byKind.map(({ id, reason }) => (
            <Body key={id}>{`${itemName(names, id)}: ${reason}`}</Body>
          ))}
          {Object.entries(resident.forbidden).map(([id, reason]) => (
            <View key={id} style={{ gap: space.xs }}>
              <Strong>{itemName(names, id)}</Strong>
              <Soft>{reason === '' ? 'no reason written down' : reason}</Soft>
              <LinkRow
                links={[
                  {
                    title: `Allow ${itemName(names, id)} again`,
                    onPress: () =>
                      void change(without(id), `${itemName(names, id)} is allowed again.`).catch(form.place),
                  },
                ]}
              />
            </View>
          ))}
          <Form form={form} act="Never give this" rank="second" disabled={form.values.food === ''} save={forbid}>
            <FormChoices
              control={form.control}
              name="food"
              label="Food it is never given"
              choices={choices.map((value) => ({ value, title: itemName(names, value) }))}
            />
            <FormField control={form.control} name="why" label="Why not" hint="Shown to whoever wants to give it." />
          </Form>
        </View>
      </Fold>
    </View>
  );
}
