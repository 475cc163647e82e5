import { useState } from 'react';
import { Image, ScrollView, View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { Entry } from '@/contract/storedEntries';
import { grownBetween, sizeOn, type SizeOn } from '@/core/growth/sizesOver';
import { daysBetween } from '@/core/measure/day';
import { BODY_MEASURES } from '@/core/profiles/profile';
import { dayWords, daysWords } from '@/words/days';
import { useLength } from '@/words/useLength';
import { Tappable } from '../components/Tappable';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';

/** Entries that tell a size. */
const SIZED = ['taken-in', 'moulted', 'measured', 'hatched'];
const WIDTH = 132;
const ASPECT = 4 / 3;

/** Its photos over time, each with its size of then to one scale; two that are tapped are compared. */
export function PhotoStrip({ residentId, today }: { residentId: string; today: string }) {
  const styles = useStyles();
  const length = useLength();
  const round = useHouse((house) => house.round);
  const [chosen, setChosen] = useState<string[]>([]);
  const kinds = `photo,${SIZED.join(',')}`;
  const { answer } = useCall(round, () => call('history', { params: { id: residentId }, query: { kinds } }));
  const entries = (answer?.entries ?? []).toReversed();
  const photos = entries.filter(({ kind }) => kind === 'photo');
  if (photos.length === 0) return null;
  const sizes = entries.flatMap(sizeIn);
  const most = Math.max(...sizes.map(({ mm }) => mm), 1);
  const choose = (id: string) =>
    setChosen((before) => (before.includes(id) ? before.filter((each) => each !== id) : [...before, id].slice(-2)));
  const pair = photos.filter(({ id }) => chosen.includes(id));
  const [first, second] = pair;
  return (
    <View style={styles.all}>
      <Heading>{`Photos: ${photos.length}`}</Heading>
      <ScrollView horizontal contentContainerStyle={styles.strip}>
        {photos.map((photo) => {
          const mm = sizeOn(sizes, photo.on);
          const day = dayWords(photo.on, today);
          const size = mm === undefined ? 'size not known' : length.long(mm);
          return (
            <Tappable
              key={photo.id}
              role="checkbox"
              aria-checked={chosen.includes(photo.id)}
              aria-label={`Photo of ${day}, ${size}. Compare`}
              onPress={() => choose(photo.id)}
              style={[styles.photo, chosen.includes(photo.id) && styles.chosen]}
            >
              <Image source={{ uri: addressOf(photo, true) }} style={styles.picture} resizeMode="cover" />
              <Strong>{day}</Strong>
              <Soft>{size}</Soft>
              <View style={styles.scale}>
                <View style={[styles.size, { width: `${mm === undefined ? 0 : (100 * mm) / most}%` }]} />
              </View>
            </Tappable>
          );
        })}
      </ScrollView>
      {first && second ? (
        <View style={styles.pair}>
          {[first, second].map((photo) => (
            <Image
              key={photo.id}
              source={{ uri: addressOf(photo, false) }}
              accessibilityLabel={photo.note ?? `Photo of ${dayWords(photo.on, today)}`}
              style={styles.large}
              resizeMode="contain"
            />
          ))}
        </View>
      ) : null}
      {answer?.hasMore ? <Soft>The earlier ones stand in the history below.</Soft> : null}
      {first && second ? (
        <Body role="status">{comparedWords(sizes, first, second, length.long)}</Body>
      ) : photos.length > 1 ? (
        <Soft>Tap two of them to compare. The bars show its size of then, to one scale.</Soft>
      ) : null}
    </View>
  );
}

const addressOf = ({ id }: Entry, isSmall: boolean) => `/api/entries/${id}/photo${isSmall ? '?small=1' : ''}`;

/** The size that an entry tells, of whichever measure is taken. */
function sizeIn({ on, data }: Entry): SizeOn[] {
  const told = BODY_MEASURES.map((measure) => (data as Partial<Record<string, unknown>>)[measure]);
  const mm = told.find((each) => typeof each === 'number');
  return typeof mm === 'number' ? [{ on, mm }] : [];
}

function comparedWords(sizes: readonly SizeOn[], one: Entry, other: Entry, long: (mm: number) => string): string {
  const grown = grownBetween(sizes, one.on, other.on);
  if (!grown)
    return `${daysWords(Math.abs(daysBetween(one.on, other.on)))} lie between them; its size of then is not known.`;
  const { days, moreMm, times } = grown;
  return moreMm === 0
    ? `${daysWords(days)} lie between them; no other size was measured.`
    : `In ${daysWords(days)} ${long(Math.abs(moreMm))} ${moreMm > 0 ? 'more' : 'less'}, ${times.toFixed(2)} times the size.`;
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s, marginTop: space.l },
  strip: { gap: space.m, paddingBottom: space.s },
  photo: {
    width: WIDTH,
    gap: space.hair,
    padding: space.xs,
    borderWidth: stroke.line,
    borderColor: theme.colors.ground,
  },
  chosen: { borderColor: theme.colors.good },
  picture: { width: '100%', aspectRatio: ASPECT, backgroundColor: theme.colors.resting },
  scale: { height: stroke.mark * 2, backgroundColor: theme.colors.resting },
  size: { height: '100%', backgroundColor: theme.colors.good },
  pair: { flexDirection: 'row', gap: space.s },
  large: { flex: 1, aspectRatio: ASPECT, backgroundColor: theme.colors.resting },
}));
