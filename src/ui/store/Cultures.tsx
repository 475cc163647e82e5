import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useStoreBook } from '@/client/storeBook';
import type { Culture } from '@/contract/store';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../kit/ListRow';
import { Heading, Soft, Strong } from '../components/Words';
import { headCountIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
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
  const [kindId, setKind] = useState(culture?.kind ?? names.feeders[0]?.id ?? '');
  const kind = names.feeders.find((each) => each.id === kindId);
  const [harvested, setHarvested] = useState(culture?.harvested ?? '');
  const called = useTyped(culture?.called ?? '');
  const breeders = useTyped(culture ? String(culture.breeders) : '');
  const sizes = kind?.classes.filter((each) => each.isFood) ?? [];
  const sustains = plan?.lines.find((line) => line.item === harvested)?.breeders;
  const save = async () => {
    const count = breeders.text === '0' ? 0 : headCountIn(breeders.text);
    if (called.isEmpty) return called.refuse('What it is called on the shelf.');
    if (count === undefined) return breeders.refuse('A whole number from 0 up.');
    if (!feederOf(names, harvested)) return breeders.refuse('Choose the size that is taken out.');
    if (await keepCulture(culture?.id ?? null, { kind: kindId, called: called.text, breeders: count, harvested }))
      onDone();
  };
  return (
    <View style={{ gap: space.m, paddingVertical: space.m }}>
      {culture ? null : (
        <Choices
          label="Kind of feeder"
          choices={names.feeders.map(({ id, plural }) => ({ value: id, title: plural }))}
          value={kindId}
          onChange={(next) => {
            setKind(next);
            setHarvested('');
          }}
        />
      )}
      <Field label="What it is called" {...called.field} />
      <Choices
        label="Size that is taken out"
        choices={sizes.map(({ id }) => ({ value: id, title: itemName(names, id) }))}
        value={harvested}
        onChange={(size) => {
          setHarvested(size);
          breeders.refuse(undefined);
        }}
      />
      <Field
        label="Breeders, of both sexes"
        {...breeders.field}
        hint={sustains ? `${sustains} would sustain what the house eats of this size.` : undefined}
        keyboard="number-pad"
      />
      <Button title="Keep" onPress={() => void save()} />
      {culture ? (
        <LinkRow
          links={[
            { title: 'Give this culture up', onPress: () => void dropCulture(culture.id).then((ok) => ok && onDone()) },
          ]}
        />
      ) : null}
    </View>
  );
}
