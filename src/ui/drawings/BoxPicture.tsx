import { memo, useId } from 'react';
import Svg, { ClipPath, Defs, G, Path } from 'react-native-svg';
import type { SectionPlan } from '@/core/housing/section';
import { hatched } from '../charts/hatched';
import { useTheme } from '../components/useStyles';
import type { Palette } from '../theme/tokens';
import { Animals } from './Animals';
import { Filling, NestParts, Opening, Walls } from './BoxParts';
import { soilInks } from './soilInks';
import type { Scale } from './scale';

interface Props {
  plan: SectionPlan;
  pxPerMm: number;
  /** Of its damp end, from 0 to about 1, where that is known. */
  wetness?: number | undefined;
  /** Striped: nothing is done to whoever lives here. */
  isLeftAlone: boolean;
  /** What the air of it is drawn in, to tell boxes apart by something. */
  tint?: string | undefined;
}

/** Room for walls and lid. px */
const EDGE = { side: 3, top: 5, foot: 1 };

/** How large the picture of a box is. px */
export const pictureSize = ({ widthMm, fullHeightMm }: SectionPlan, pxPerMm: number) => ({
  widthPx: widthMm * pxPerMm + 2 * EDGE.side,
  heightPx: fullHeightMm * pxPerMm + EDGE.top + EDGE.foot,
});

/** A box as it stands on its shelf: its cut, true to the scale of the wall, without a word. */
export const BoxPicture = memo(function BoxPicture({ plan, pxPerMm, wetness, isLeftAlone, tint }: Props) {
  const { theme } = useTheme();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const { widthPx, heightPx } = pictureSize(plan, pxPerMm);
  const colors: Palette = { ...theme.colors, ...soilInks(theme.colors, wetness), ...(tint && { air: tint }) };
  const scale: Scale = {
    ...{ pxPerMm, widthPx, heightPx, isTight: true },
    x: (mm) => EDGE.side + mm * pxPerMm,
    y: (mm) => EDGE.top + (plan.fullHeightMm - mm) * pxPerMm,
  };
  const part = { plan, scale, colors };
  return (
    <Svg width={widthPx} height={heightPx} viewBox={`0 0 ${widthPx} ${heightPx}`} aria-hidden>
      <Filling {...part} id={`soil${id}`} isLabelled={false} />
      {isLeftAlone ? <Stripes {...part} id={`air${id}`} /> : null}
      <NestParts {...part} isLabelled={false} />
      <Walls {...part} isSmall />
      {plan.vents.map((vent, index) => (
        <Opening key={index} vent={vent} scale={scale} colors={colors} unsafe={false} isSmall />
      ))}
      <Animals {...part} />
    </Svg>
  );
});

/** Stripes over the air of the box. */
function Stripes({
  plan,
  scale: { x, y },
  colors,
  id,
}: {
  plan: SectionPlan;
  scale: Scale;
  colors: Palette;
  id: string;
}) {
  const [left, top] = [x(plan.lid.leftMm), y(plan.heightMm)];
  const [width, height] = [x(plan.lid.rightMm) - left, y(0) - top];
  const air = `M ${left} ${top} h ${width} L ${plan.surface
    .map((point) => `${x(point.x)} ${y(point.y)}`)
    .reverse()
    .join(' L ')} Z`;
  return (
    <G>
      <Defs>
        <ClipPath id={id}>
          <Path d={air} />
        </ClipPath>
      </Defs>
      <Path d={air} fill={colors.resting} />
      <Path
        d={hatched(left, top, width, height)}
        clipPath={`url(#${id})`}
        stroke={colors.bark}
        fill="none"
        opacity={0.6}
      />
    </G>
  );
}
