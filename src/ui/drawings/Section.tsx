import { useId } from 'react';
import Svg from 'react-native-svg';
import type { FitAnswer } from '@/core/housing/fit';
import type { SectionPlan } from '@/core/housing/section';
import type { Quantity } from '@/core/profiles/profile';
import { useTheme } from '../components/useStyles';
import type { LengthWords } from '@/words/lengths';
import { Animals } from './Animals';
import { Filling, Furniture, NestParts, Opening, Walls } from './BoxParts';
import { Dimensions, FillMark } from './Dimensions';
import { Marks } from './Marks';
import type { Scale } from './scale';

interface Props {
  plan: SectionPlan;
  fit: FitAnswer | null;
  length: LengthWords;
  scale: Scale;
}

/**
 * The cut through a home, true to scale: one factor from millimetres to pixels for the box, the soil, the holes, the
 * furniture and the animal. What does not pass is marked where it is broken.
 */
export function Section({ plan, fit, length, scale }: Props) {
  const { theme } = useTheme();
  const { colors } = theme;
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const failing = (...quantities: Quantity[]) =>
    fit?.checks.some((each) => each.status === 'fail' && quantities.includes(each.quantity)) ?? false;
  const part = { plan, scale, colors };
  return (
    <Svg width={scale.widthPx} height={scale.heightPx} viewBox={`0 0 ${scale.widthPx} ${scale.heightPx}`} aria-hidden>
      <Filling {...part} id={`soil${id}`} />
      <NestParts {...part} />
      <Walls {...part} />
      {plan.vents.map((vent, index) => (
        <Opening
          key={index}
          vent={vent}
          scale={scale}
          colors={colors}
          unsafe={failing('widestOpeningMm', 'meshOverheadCount')}
        />
      ))}
      <Furniture {...part} />
      <Animals {...part} />
      <Dimensions {...part} length={length} failing={failing} />
      {scale.isTight ? null : <FillMark {...part} fit={fit} length={length} />}
      {fit ? <Marks {...part} checks={fit.checks} /> : null}
    </Svg>
  );
}
