import { View } from 'react-native';
import { useStock } from '@/client/stock';
import { sizeLadder } from '@/core/housing/ladder';
import type { Animal } from '@/core/housing/fit';
import { tellsSize } from '@/core/profiles/animal';
import type { CareProfile } from '@/core/profiles/profile';
import { StatusMark } from '../components/StatusMark';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { boxSizeWords } from '@/words/residents';
import { space } from '../theme/tokens';
import { useLength } from '@/words/useLength';

/** The boxes an animal will want until it is grown: as few sizes as possible, each with the sizes it serves for. */
export function SizeLadder({ profile, animal }: { profile: CareProfile; animal: Animal }) {
  const { boxSizes } = useStock();
  const length = useLength();
  if (boxSizes.length === 0 || !tellsSize(profile, animal)) return null;
  const { steps, endsAtMm } = sizeLadder(profile, animal, boxSizes);
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>Boxes until it is grown</Heading>
      <Soft>{`The fewest usual sizes from now to ${length.long(profile.growth.grownMm.value)} ${profile.measure.name}, ${profile.growth.grownMm.basis}.`}</Soft>
      {steps.map(({ size, verdict, depthMm, fromMm, toMm, fromMoults, toMoults }) => (
        <View key={`${size.id} ${fromMoults}`} style={{ flexDirection: 'row', gap: space.m, alignItems: 'center' }}>
          <StatusMark status={verdict} />
          <View style={{ flex: 1 }}>
            <Strong>{boxSizeWords(size, length)}</Strong>
            <Soft>
              {`from ${length.long(fromMm)} to ${length.long(toMm)}, ${moultWords(fromMoults, toMoults)}; fill to ${length.long(Math.round(depthMm))}`}
            </Soft>
          </View>
        </View>
      ))}
      {endsAtMm === null ? null : (
        <Body>{`No usual size is large enough from ${length.long(endsAtMm)} on. Build one, or look for a larger box.`}</Body>
      )}
    </View>
  );
}

function moultWords(from: number, to: number): string {
  const start = from === 0 ? 'now' : from === 1 ? 'after the next moult' : `after ${from} moults`;
  return to === from ? start : `${start} to the ${ordinal(to + 1)} moult`;
}

const ordinal = (count: number) =>
  `${count}${count % 10 === 1 && count !== 11 ? 'st' : count % 10 === 2 && count !== 12 ? 'nd' : count % 10 === 3 && count !== 13 ? 'rd' : 'th'}`;
