import { useState } from 'react';
import { View } from 'react-native';
import { depthsOf, type Soil } from '@/core/housing/soil';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { lengthIn } from '../forms/checks';
import { space } from '../theme/tokens';
import type { LengthWords } from '@/words/lengths';
import { useLength } from '@/words/useLength';

interface Props {
  soil: Soil;
  heightMm: number;
  onChange: (soil: Soil) => void;
}

/** How far the ends of a new slope, or of terraces, lie above and below the mean. */
const NEW_SLOPE = 0.2;

/** The surface of the soil: flat, sloped from the damp end to the dry end, or in steps. */
export function SoilShape({ soil, heightMm, onChange }: Props) {
  const length = useLength();
  const depths = depthsOf(soil);
  const mean = depths.reduce((sum, depth) => sum + depth, 0) / depths.length;
  const choose = (shape: Soil['shape']) => {
    if (shape === soil.shape) return;
    const high = Math.min(heightMm, Math.round(mean * (1 + NEW_SLOPE)));
    const low = Math.round(2 * mean - high);
    if (shape === 'flat') onChange({ shape, depthMm: mean });
    else if (shape === 'slope') onChange({ shape, frontMm: high, backMm: low });
    else onChange({ shape, depthsMm: [high, mean, low] });
  };
  return (
    <View style={{ gap: space.s }}>
      <Choices
        label="Surface of the soil"
        choices={[
          { value: 'flat', title: 'flat' },
          { value: 'slope', title: 'sloped' },
          { value: 'terraces', title: 'in steps' },
        ]}
        value={soil.shape}
        onChange={choose}
      />
      {soil.shape === 'flat' ? null : (
        <DepthsField
          key={soil.shape}
          label={soil.shape === 'slope' ? 'Damp end, dry end' : 'Steps from the damp end'}
          depths={depths}
          count={soil.shape === 'slope' ? 2 : undefined}
          heightMm={heightMm}
          length={length}
          onChange={(mm) => {
            const [frontMm = 0, backMm = 0] = mm;
            onChange(
              soil.shape === 'slope' ? { shape: 'slope', frontMm, backMm } : { shape: 'terraces', depthsMm: mm },
            );
          }}
        />
      )}
    </View>
  );
}

interface DepthsProps {
  label: string;
  depths: number[];
  count: number | undefined;
  heightMm: number;
  length: LengthWords;
  onChange: (depthsMm: number[]) => void;
}

function DepthsField({ label, depths, count, heightMm, length, onChange }: DepthsProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const shown = depths.map((depth) => length.short(depth)).join('; ');
  const type = (typed: string) => {
    setDraft(typed);
    const parts = typed.split(/[;/]/).map((part) => (/^\s*0+\s*$/.test(part) ? 0 : lengthIn(part, length.unit)));
    const known = parts.filter((part) => part !== undefined);
    const wanted = count === undefined ? known.length >= 2 && known.length <= 8 : known.length === count;
    if (known.length !== parts.length || !wanted) {
      setProblem(`Write ${count ?? '2 to 8'} depths with a semicolon between them.`);
    } else if (Math.max(...known) > heightMm) {
      setProblem(`At most ${length.long(heightMm)}: the box is no higher.`);
    } else {
      setProblem(undefined);
      onChange(known);
    }
  };
  return (
    <Field
      label={`${label}, ${length.unit}`}
      value={draft ?? shown}
      onChange={type}
      onBlur={() => {
        setDraft(null);
        setProblem(undefined);
      }}
      problem={problem}
    />
  );
}
