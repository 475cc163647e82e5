import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { CallFailed } from '@/client/api';
import { useBook, useHandbook } from '@/client/handbook';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useKindOfName } from '@/client/names';
import { keeperField } from '@/client/preferences';
import type { OwnCard } from '@/contract/handbook';
import { bearing } from '@/core/handbook/knownNames';
import { CARD_PARTS, type CardPart } from '@/core/handbook/card';
import { withoutAuthor } from '@/core/measure/nameParts';
import { checkScientificName } from '@/core/measure/scientificName';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Soft, Strong, Title } from '../components/Words';
import { KindChoice } from '../residents/KindChoice';
import { space } from '../theme/tokens';
import { PART_WORDS } from '@/words/card';

const NEW = 'new';

/** A keeper's own card: the name, the kind it is kept as, and what is known of it, part by part. */
export function OwnCardScreen({ name }: { name: string }) {
  const book = useBook();
  const species = useHouse((house) => house.species);
  const loading = useLoadState();
  if (loading || !book) return <Screen>{loading}</Screen>;
  const before = book.ownCards.find((card) => card.name === withoutAuthor(name));
  const known = name === NEW ? undefined : bearing(species, name);
  return (
    <CardForm
      key={before?.name ?? name}
      isNew={!before}
      start={
        before ?? {
          ...{ name: name === NEW ? '' : name, commonName: known?.commonName ?? null, synonyms: [], keeper: null },
          ...{ profile: undefined, notes: {} },
        }
      }
    />
  );
}

/** A card that is being written: its kind may still have to be chosen. */
type Draft = Omit<OwnCard, 'profile'> & { profile: string | undefined };

function CardForm({ start, isNew }: { start: Draft; isNew: boolean }) {
  const { writeCard, removeCard } = useHandbook();
  const show = useLog((log) => log.show);
  const [card, setCard] = useState(start);
  const [synonyms, setSynonyms] = useState(start.synonyms.join('; '));
  const [problems, setProblems] = useState<Record<string, string>>({});
  const form = checkScientificName(card.name);
  const told = useKindOfName(card.name);
  const profile = card.profile ?? told?.profile;
  const note = (part: CardPart) => (text: string) => setCard({ ...card, notes: { ...card.notes, [part]: text } });
  const save = async () => {
    if (!form.ok) return setProblems({ name: form.problem });
    if (profile === undefined) return setProblems({ profile: 'Choose what kind of animal it is.' });
    const notes = Object.fromEntries(
      Object.entries(card.notes).flatMap(([part, text]) => (text.trim() === '' ? [] : [[part, text.trim()]])),
    );
    const names = synonyms.split(';').flatMap((each) => (each.trim() === '' ? [] : [each.trim()]));
    const { keeper = null } = keeperField();
    try {
      await writeCard({ ...card, profile, name: card.name.trim(), notes, synonyms: names, keeper });
      show({ text: `${card.name.trim()}: your card is kept.` });
      router.replace(`/handbook/${encodeURIComponent(withoutAuthor(card.name))}`);
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
      if (!(error instanceof CallFailed)) return;
      setProblems(
        Object.fromEntries(error.fields.map(({ path, message }) => [path.split('.').slice(0, 2).join('.'), message])),
      );
    }
  };
  const remove = async () => {
    await removeCard(card.name);
    show({ text: `Your card of ${card.name} is taken out.` });
    router.replace('/handbook');
  };
  const wrongSynonym = Object.entries(problems).find(([path]) => path.startsWith('synonyms'))?.[1];
  return (
    <Screen actions={<Button grow title="Keep this card" onPress={() => void save()} />}>
      <PaneHeader back="/handbook" title="Handbook" />
      <Title>{isNew ? 'A card of your own' : 'Your card'}</Title>
      <Soft>For everybody in this house. Parts left empty show what ships with the program.</Soft>
      {isNew ? null : <LinkRow links={[{ title: 'Take this card out', onPress: () => void remove() }]} />}
      <View style={{ gap: space.m, marginTop: space.m }}>
        {isNew ? (
          <Field
            label="Scientific name"
            value={card.name}
            onChange={(name) => setCard({ ...card, name })}
            problem={problems.name}
            hint="Genus species, or Genus sp. 'locality'"
          />
        ) : (
          <Soft>{card.name}</Soft>
        )}
        {!form.ok && form.suggestion !== undefined ? (
          <Button
            rank="second"
            title={`Write ${form.suggestion}`}
            onPress={() => setCard({ ...card, name: form.suggestion ?? card.name })}
          />
        ) : null}
        <Field
          label="Common name, if any"
          value={card.commonName ?? ''}
          onChange={(text) => setCard({ ...card, commonName: text.trim() === '' ? null : text })}
          problem={problems.commonName}
        />
        <KindChoice profile={profile} onChange={(chosen) => setCard({ ...card, profile: chosen })} />
        {problems.profile !== undefined ? <Strong role="alert">{problems.profile}</Strong> : null}
        <Field
          label="Other names that lead here"
          value={synonyms}
          onChange={setSynonyms}
          problem={wrongSynonym}
          hint="Several with a semicolon between."
        />
        {CARD_PARTS.map((part) => (
          <Field
            key={part}
            label={PART_WORDS[part]}
            value={card.notes[part] ?? ''}
            onChange={note(part)}
            problem={problems[`notes.${part}`]}
            lines={3}
          />
        ))}
      </View>
    </Screen>
  );
}
