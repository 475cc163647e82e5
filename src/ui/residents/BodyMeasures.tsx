import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Resident } from '@/contract/records';
import { bodyOf, tellsSize } from '@/core/profiles/animal';
import { BODY_MEASURES } from '@/core/profiles/profile';
import { usualMassG } from '@/core/profiles/weight';
import { Fold } from '../kit/Fold';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { EVIDENCE_WORDS } from '@/words/entries';
import { massWords, MEASURE_WORDS } from '@/words/measures';
import { useLength } from '@/words/useLength';

/** Every measure of it, taken or worked out by its kind's proportions; and what its sex was told by. */
export function BodyMeasures({ resident }: { resident: Resident }) {
  const length = useLength();
  const profile = useHouse((house) => house.care).of(resident);
  const { takes } = profile.measure;
  if (!tellsSize(profile, resident)) return null;
  const body = bodyOf(profile, resident);
  const usual = usualMassG(profile, body[takes]?.mm ?? 0);
  const lines = [
    ...BODY_MEASURES.flatMap((name) => {
      const measure = body[name];
      if (!measure) return [];
      const how = measure.estimated ? 'worked out by the proportions of its kind' : 'measured';
      return [`${MEASURE_WORDS[name]} ${length.long(Math.round(measure.mm * 10) / 10)}, ${how}`];
    }),
    massWords(resident.massG, usual),
    resident.sex === 'unknown'
      ? 'Sex not known.'
      : `Sex ${resident.sex}${resident.sexBy === null ? ', as it was taken in' : `, by ${EVIDENCE_WORDS[resident.sexBy]}`}.`,
  ].filter((line) => line !== null);
  return (
    <Fold title="Measures and sex">
      <View style={{ gap: space.xs }}>
        {lines.map((line) => (
          <Soft key={line}>{line}</Soft>
        ))}
      </View>
    </Fold>
  );
}
