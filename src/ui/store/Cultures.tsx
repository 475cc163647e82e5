import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useStoreBook } from '@/client/storeBook';
import type { Culture } from '@/contract/store';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../kit/ListRow';
import { Heading, Soft, Strong } from '../components/Words';
import { countOrNoneIn, needed } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { useConfirm } from '../kit/useConfirm';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { feederOf, itemName } from '@/words/food';
import { useNames } from '@/words/useNames';

/** Cultures of the house, what each yields, and the form for one. */
export function Cultures({ cultures }: { cultures: Culture[] }) {
  const names = useNames();
  const today = useHouse((house) => house.round?.on ?? '');
  const [open, setOpen] = useState<string | null>(null);
  return (
    <View style={{ marginTop: space.xl, gap: space.s }}>
      <Heading>Own cultures</Heading>
      {cultures.map((culture) => (
        <View key={culture.id}>
          <ListRow
            label={`${culture.called}: change`}
            onPress={() => setOpen(open === culture.id ? null : culture.id)}
            isChosen={open === culture.id}
          >
            <Strong>{culture.called}</Strong>
            <Soft>{`${culture.breeders} breeders, since ${dayWords(culture.begunOn, today)}`}</Soft>
            <Soft>{`yields about ${Math.round(culture.yieldPerWeek)} ${itemName(names, culture.harvested)} a week, once it stands`}</Soft>
          </ListRow>
          {open === culture.id ? <CultureForm culture={culture} onDone={() => setOpen(null)} /> : null}
        </View>
      ))}
      {open === 'new' ? (
        <CultureForm onDone={() => setOpen(null)} />
      ) : (
        <LinkRow links={[{ title: 'Begin a culture', onPress: () => setOpen('new') }]} />
      )}
    </View>
  );
}

function CultureForm({ culture, onDone }: { culture?: Culture; onDone: () => void }) {
  const names = useNames();
  const { plan, keepCulture, dropCulture } = useStoreBook();
  const start = {
    kind: culture?.kind ?? names.feeders[0]?.id ?? '',
    called: culture?.called ?? '',
    harvested: culture?.harvested ?? '',
    breeders: culture ? String(culture.breeders) : '',
  };
  const form = useFields(start);
  const { control, values } = form;
  const { ask, dialog } = useConfirm();
  const sizes = names.feeders.find((each) => each.id === values.kind)?.classes.filter((each) => each.isFood) ?? [];
  const sustains = plan?.lines.find((line) => line.item === values.harvested)?.breeders;
  const save = async ({ kind, called, harvested, breeders }: typeof start) => {
    const count = countOrNoneIn(breeders) ?? 0;
    await keepCulture(culture?.id ?? null, { kind, called: called.trim(), breeders: count, harvested });
    onDone();
  };
  return (
    <View style={{ paddingVertical: space.m }}>
      <Form form={form} act="Keep" save={save}>
        {culture ? null : (
          <FormChoices
            control={control}
            name="kind"
            label="Kind of feeder"
            choices={names.feeders.map(({ id, plural }) => ({ value: id, title: plural }))}
            onChosen={() => form.setValue('harvested', '')}
          />
        )}
        <FormField
          control={control}
          name="called"
          label="What it is called"
          check={needed('What it is called on the shelf.')}
        />
        <FormChoices
          control={control}
          name="harvested"
          label="Size that is taken out"
          choices={sizes.map(({ id }) => ({ value: id, title: itemName(names, id) }))}
          check={(size) => feederOf(names, size) !== undefined || 'Choose the size that is taken out.'}
        />
        <FormField
          control={control}
          name="breeders"
          label="Breeders, of both sexes"
          check={(text) => (text.trim() !== '' && countOrNoneIn(text) !== undefined) || 'A whole number from 0 up.'}
          hint={sustains ? `${sustains} would sustain what the house eats of this size.` : undefined}
          keyboard="number-pad"
        />
      </Form>
      {culture ? (
        <LinkRow
          links={[
            {
              title: 'Give this culture up',
              onPress: () =>
                ask({
                  title: `Give ${culture.called} up?`,
                  text: 'It is no longer counted on. What it gave stays in the book of the store.',
                  act: 'Give it up',
                  run: () => dropCulture(culture.id).then((isGone) => isGone && onDone()),
                }),
            },
          ]}
        />
      ) : null}
      {dialog}
    </View>
  );
}
