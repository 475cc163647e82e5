import { router } from 'expo-router';
import { View } from 'react-native';
import { useBook } from '@/client/handbook';
import { useHouse } from '@/client/house';
import { openPaper } from '@/client/paper';
import { useNowNamed } from '@/client/names';
import type { Resident } from '@/contract/records';
import { cardAbout } from '@/core/handbook/cardAbout';
import { careCard, CARD_PARTS, type Calculator, type CardLine, type CardPart } from '@/core/handbook/card';
import { withoutAuthor } from '@/core/measure/nameParts';
import { Button } from '../kit/Button';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, LargeName, Soft, Strong, Title } from '../components/Words';
import { CardPartLines } from '../handbook/CardPartLines';
import { NowNamed } from '../handbook/NowNamed';
import { Cautions } from '../residents/Cautions';
import { space } from '../theme/tokens';
import { PART_WORDS } from '@/words/card';
import { plantWords } from '@/words/plants';

/** The care card of a species, or of a kind: danger first, then in the order of the work. */
export function CardScreen({ name }: { name: string }) {
  const { care, species, residents } = useHouse();
  const book = useBook();
  const loading = useLoadState();
  const now = useNowNamed(name);
  const about = cardAbout(name, book?.ownCards ?? [], species);
  const { name: asked, profileId, isKind, isOfGenus, own, known } = about;
  if (loading) return <Screen>{loading}</Screen>;
  if (!care.has(profileId)) return <NoCard name={name} />;
  const profile = care.of({ profile: profileId });
  const kept = care.of({ profile: profileId, scientificName: isKind ? undefined : asked });
  const lines = book ? careCard(kept, book.sources, isKind ? undefined : asked) : [];
  const here = residents.filter((each) =>
    isKind ? each.profile === profileId : isNamed(each, asked, known?.synonyms),
  );
  const notes = { ...known?.notes, ...own?.notes };
  const write = () => router.push(`/handbook/own/${encodeURIComponent(isKind ? 'new' : asked)}`);
  return (
    <Screen
      actions={
        <>
          <Button grow rank="second" title={own ? 'Change your card' : 'Your own notes on it'} onPress={write} />
          <Button rank="second" title="Print" onPress={() => openPaper('card', { name: asked })} />
        </>
      }
    >
      <PaneHeader back="/handbook" title="Handbook" />
      {isKind ? <Title>{profile.name}</Title> : <LargeName>{asked}</LargeName>}
      {now ? <NowNamed scientificName={name} /> : null}
      <Soft>
        {[own?.commonName ?? known?.commonName, isKind ? profile.group : `kept as ${profile.name.toLowerCase()}`]
          .filter((word) => word !== undefined && word !== null)
          .join(', ')}
      </Soft>
      {isOfGenus ? (
        <Body>{`Nobody has written of this species. These are the numbers by which others of the genus ${asked.split(' ')[0]} are kept.`}</Body>
      ) : null}
      {known ? (
        <Soft>{`${known.range}. Lives ${known.lifeYears.min} to ${known.lifeYears.max} years (${known.lifeYears.basis}).`}</Soft>
      ) : null}
      {known?.synonyms ? <Soft>{`Also called ${known.synonyms.join(', ')}.`}</Soft> : null}
      {here.length > 0 ? <Soft>{`Here: ${here.length}`}</Soft> : null}
      <Cautions who={{ scientificName: isKind ? '' : asked, profile: profileId }} />
      {CARD_PARTS.map((part) => (
        <Part
          key={part}
          part={part}
          lines={lines.filter((line) => line.part === part)}
          note={notes[part]}
          isOwn={own?.notes[part] !== undefined}
          plants={part === 'food' && kept.diet && 'plants' in kept.diet ? kept.diet.plants : []}
          here={here[0]}
        />
      ))}
    </Screen>
  );
}

const isNamed = ({ scientificName }: Resident, name: string, synonyms: readonly string[] = []) =>
  [name, ...synonyms].includes(withoutAuthor(scientificName));

interface PartProps {
  part: CardPart;
  lines: CardLine[];
  note: string | undefined;
  isOwn: boolean;
  /** What it eats of leaves, the usual ones first. */
  plants: readonly string[];
  here: Resident | undefined;
}

function Part({ part, lines, note, isOwn, plants, here }: PartProps) {
  const foods = useHouse((house) => house.foods);
  const eaten = plants.flatMap((id) => foods.find((food) => food.id === id) ?? []);
  if (lines.length === 0 && note === undefined) return null;
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>{PART_WORDS[part]}</Heading>
      {note === undefined ? null : (
        <View>
          <Body>{note}</Body>
          <Soft>{isOwn ? 'your own note' : 'from memory'}</Soft>
        </View>
      )}
      {eaten.length === 0 ? null : (
        <View>
          <Strong>Plants</Strong>
          {eaten.map((plant) => (
            <Body key={plant.id}>{`${plant.name}: ${plantWords(plant)}`}</Body>
          ))}
          <Soft>from memory</Soft>
        </View>
      )}
      <CardPartLines lines={lines} toolFor={(tool) => () => router.push(addressOf(tool, here))} />
    </View>
  );
}

/** Where a calculator is: with the animal that lives here, else with an empty form. */
function addressOf(tool: Calculator, here: Resident | undefined) {
  switch (tool) {
    case 'boxes':
      return here ? (`/residents/${here.id}/boxes` as const) : '/take-in';
    case 'build':
      return '/build';
    case 'air':
      return here ? (`/homes/${here.homeId}/air` as const) : '/homes';
    case 'feeding':
      return here ? (`/residents/${here.id}?tab=food` as const) : '/store';
    case 'growth':
      return here ? (`/residents/${here.id}?tab=growth` as const) : '/residents';
    case 'broods':
      return '/seasons?part=broods';
    case 'colonies':
      return '/seasons?part=colonies';
    case 'round':
      return '/';
    case 'rest':
      return here ? (`/residents/${here.id}/rest` as const) : '/seasons?part=rest';
  }
}

function NoCard({ name }: { name: string }) {
  return (
    <Screen
      actions={
        <Button grow title="Write a card" onPress={() => router.push(`/handbook/own/${encodeURIComponent(name)}`)} />
      }
    >
      <PaneHeader back="/handbook" title="Handbook" />
      <LargeName>{name}</LargeName>
      <Strong>There is no card of it yet.</Strong>
      <Body>
        Its kind has one: look under “Kept as” of the animal. What you know of the species you can write down.
      </Body>
    </Screen>
  );
}
