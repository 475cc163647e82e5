import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useBook, useHandbook } from '@/client/handbook';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useKindOfName } from '@/client/names';
import { keeperField } from '@/client/preferences';
import type { OwnCard } from '@/contract/handbook';
import { findByName } from '@/core/profiles/knownNames';
import { CARD_PARTS, type CardPart } from '@/core/handbook/card';
import { withoutAuthor } from '@/core/measure/nameParts';
import { checkScientificName } from '@/core/measure/scientificName';
import { Button } from '../kit/Button';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Soft, Title } from '../components/Words';
import { KindChoice } from '../residents/KindChoice';
import { anyLength, lengthIn, nameCheck, orEmpty } from '../forms/checks';
import { useConfirm } from '../kit/useConfirm';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { PART_WORDS } from '@/words/card';
import { useLength } from '@/words/useLength';

const NEW = 'new';

/** A keeper's own card: the name, the kind it is kept as, and what is known of it, part by part. */
export function OwnCardScreen({ name }: { name: string }) {
  const book = useBook();
  const species = useHouse((house) => house.species);
  const loading = useLoadState();
  if (loading || !book) return <Screen>{loading}</Screen>;
  const before = book.ownCards.find((card) => card.name === withoutAuthor(name));
  const known = name === NEW ? undefined : findByName(species, name);
  return (
    <CardForm
      key={before?.name ?? name}
      isNew={!before}
      start={
        before ?? {
          ...{ name: name === NEW ? '' : name, commonName: known?.commonName ?? null, synonyms: [], keeper: null },
          ...{ profile: undefined, notes: {}, grownMm: null },
        }
      }
    />
  );
}

/** A card that is being written: its kind may still have to be chosen. */
type Draft = Omit<OwnCard, 'profile'> & { profile: string | undefined };

interface Values {
  name: string;
  commonName: string;
  synonyms: string;
  grownMm: string;
  notes: Record<CardPart, string>;
}

function CardForm({ start, isNew }: { start: Draft; isNew: boolean }) {
  const { writeCard, removeCard } = useHandbook();
  const loadCare = useHouse((house) => house.loadCare);
  const care = useHouse((house) => house.care);
  const length = useLength();
  const show = useLog((log) => log.show);
  const form = useFields<Values>(
    {
      ...{ name: start.name, commonName: start.commonName ?? '', synonyms: start.synonyms.join('; ') },
      grownMm: start.grownMm === null ? '' : length.short(start.grownMm),
      notes: Object.fromEntries(CARD_PARTS.map((part) => [part, start.notes[part] ?? ''])),
    },
    (path) =>
      path
        .split('.')
        .slice(0, path.startsWith('notes') ? 2 : 1)
        .join('.'),
  );
  const { control } = form;
  const { ask, dialog } = useConfirm();
  const name = form.values.name.trim();
  const nameForm = checkScientificName(name);
  const [byHand, setByHand] = useState(start.profile);
  const told = useKindOfName(name);
  const profile = byHand ?? told?.profile;
  const kept = profile !== undefined && care.has(profile) ? care.of({ profile, scientificName: name }) : undefined;
  const save = form.handleSubmit(async ({ commonName, synonyms, notes, grownMm }) => {
    if (profile === undefined) return;
    const told = Object.entries(notes).flatMap(([part, text]) => (text.trim() === '' ? [] : [[part, text.trim()]]));
    const names = synonyms.split(';').flatMap((each) => (each.trim() === '' ? [] : [each.trim()]));
    const { keeper = null } = keeperField();
    const card = {
      ...{ ...start, profile, name, keeper, synonyms: names, notes: Object.fromEntries(told) },
      commonName: commonName.trim() === '' ? null : commonName,
      grownMm: lengthIn(grownMm, length.unit) ?? null,
    };
    try {
      await writeCard(card);
      await loadCare();
      show({ text: `${name}: your card is kept.` });
      router.replace(`/handbook/${encodeURIComponent(withoutAuthor(name))}`);
    } catch (error) {
      form.place(error);
    }
  });
  const remove = async () => {
    await removeCard(start.name);
    await loadCare();
    show({ text: `Your card of ${start.name} is taken out.` });
    router.replace('/handbook');
  };
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button
            grow
            title={profile === undefined && nameForm.ok ? 'Choose the kind first' : 'Keep this card'}
            disabled={profile === undefined && nameForm.ok}
            onPress={() => void save()}
          />
        </>
      }
    >
      <PaneHeader back="/handbook" title="Handbook" />
      <Title>{isNew ? 'A card of your own' : 'Your card'}</Title>
      <Soft>For everybody in this house. Parts left empty show what ships with the program.</Soft>
      {isNew ? null : (
        <LinkRow
          links={[
            {
              title: 'Take this card out',
              onPress: () =>
                ask({
                  title: `Take your card of ${start.name} out?`,
                  text: 'What was written on it goes for good. What ships with the program shows again.',
                  act: 'Take it out',
                  run: remove,
                }),
            },
          ]}
        />
      )}
      {dialog}
      <View style={{ gap: space.m, marginTop: space.m }}>
        {isNew ? (
          <FormField
            control={control}
            name="name"
            label="Scientific name"
            check={nameCheck}
            hint="Genus species, or Genus sp. 'locality'"
          />
        ) : (
          <Soft>{start.name}</Soft>
        )}
        {!nameForm.ok && nameForm.suggestion !== undefined ? (
          <Button
            rank="second"
            title={`Write ${nameForm.suggestion}`}
            onPress={() => form.setValue('name', nameForm.suggestion ?? name, { shouldValidate: true })}
          />
        ) : null}
        <FormField control={control} name="commonName" label="Common name, if any" />
        <KindChoice profile={profile} onChange={setByHand} />
        <FormField
          control={control}
          name="synonyms"
          label="Other names that lead here"
          hint="Several with a semicolon between."
        />
        {kept ? (
          <FormField
            control={control}
            name="grownMm"
            label={`Grows to a ${kept.measure.name} of about, ${length.unit}`}
            hint={`Left empty: ${length.long(kept.growth.grownMm.value)}, ${kept.growth.grownMm.basis}.`}
            check={orEmpty(anyLength(length.unit))}
            keyboard="decimal-pad"
          />
        ) : null}
        {CARD_PARTS.map((part) => (
          <FormField key={part} control={control} name={`notes.${part}`} label={PART_WORDS[part]} lines={3} />
        ))}
      </View>
    </Screen>
  );
}
