import { G, Line, Path, Rect } from 'react-native-svg';
import type { FitAnswer } from '@/core/housing/fit';
import type { Quantity } from '@/core/profiles/profile';
import type { LengthWords } from '@/words/lengths';
import { Label, Measure, Tag, type PartProps } from './parts';

interface Props extends PartProps {
  length: LengthWords;
  /** Whether a rule about one of these fails. */
  failing: (...quantities: Quantity[]) => boolean;
}

/** Gap, depth, drop, height and width, each in clay where its rule fails; and the scale bar. */
export function Dimensions({ plan, scale: { x, y, pxPerMm, isTight }, colors, length, failing }: Props) {
  const boxRight = x(plan.lid.rightMm);
  const at = x(plan.lid.leftMm + (plan.lid.rightMm - plan.lid.leftMm) * 0.88);
  const inSoil = x(plan.floor.leftMm + (plan.floor.rightMm - plan.floor.leftMm) * 0.24);
  const base = y(0) + 14;
  const gapFails = failing('surfaceToLidMm');
  const depthFails = failing('substrateDepthMm');
  const widthFails = failing('floorShortSideMm', 'floorLongSideMm', 'innerVolumeL', 'floorAreaPerHeadMm2');
  const heightFails = failing('heightMm');
  const dropFails = failing('perchDropMm');
  const barPx = plan.scaleBarMm * pxPerMm;
  const lowest = Math.min(...plan.surface.map((point) => point.y));
  const showsGap = plan.animals.length > 0 && !plan.nest && !plan.drop && (!isTight || gapFails);
  return (
    <G>
      {showsGap && (
        <>
          <Measure
            x1={at}
            y1={y(plan.heightMm) + 3}
            x2={at}
            y2={y(lowest) - 5}
            color={gapFails ? colors.clay : colors.inkSoft}
          />
          <Tag
            x={at}
            y={(y(plan.heightMm) + y(lowest)) / 2}
            text={`gap ${length.long(plan.gapMm)}`}
            colors={colors}
            loud={gapFails}
            limit={boxRight - 6}
          />
        </>
      )}
      {plan.drop && (
        <>
          <Measure
            x1={x(plan.drop.x)}
            y1={y(plan.drop.fromMm)}
            x2={x(plan.drop.x)}
            y2={y(plan.drop.toMm) - 4}
            color={dropFails ? colors.clay : colors.inkSoft}
          />
          <Tag
            x={x(plan.drop.x)}
            y={(y(plan.drop.fromMm) + y(plan.drop.toMm)) / 2}
            text={`drop ${length.long(plan.drop.fromMm - plan.drop.toMm)}`}
            colors={colors}
            loud={dropFails}
            limit={boxRight - 6}
          />
        </>
      )}
      {plan.depthMm * pxPerMm > 26 && (
        <>
          <Measure x1={inSoil} y1={y(plan.depthMm) + 5} x2={inSoil} y2={y(0) - 4} color={colors.onSoil} />
          <Label
            x={inSoil + 9}
            y={(y(plan.depthMm) + y(0)) / 2 + (plan.depthMm * pxPerMm > 50 ? -2 : 5)}
            text={`depth ${length.short(plan.depthMm)}`}
            color={depthFails ? colors.clay : colors.onSoil}
            bold
          />
        </>
      )}
      {heightFails && (
        <>
          <Measure x1={boxRight + 12} y1={y(plan.heightMm)} x2={boxRight + 12} y2={y(0)} color={colors.clay} />
          <Tag
            x={boxRight + 12}
            y={y(plan.heightMm * 0.2)}
            text={`height ${length.long(plan.heightMm)}`}
            colors={colors}
            loud
            limit={boxRight + 22}
          />
        </>
      )}
      <Measure
        x1={x(plan.floor.leftMm)}
        y1={base}
        x2={x(plan.floor.rightMm)}
        y2={base}
        color={widthFails ? colors.clay : colors.ink}
      />
      <Label
        x={x((plan.floor.leftMm + plan.floor.rightMm) / 2)}
        y={base + 19}
        text={`${length.long(plan.floor.rightMm - plan.floor.leftMm)} inside`}
        color={widthFails ? colors.clay : colors.ink}
        anchor="middle"
        bold={widthFails}
      />
      {isTight ? null : (
        <>
          <Rect x={12} y={base + 8} width={barPx / 2} height={4} fill={colors.ink} />
          <Rect
            x={12 + barPx / 2}
            y={base + 8}
            width={barPx / 2}
            height={4}
            fill={colors.ground}
            stroke={colors.ink}
            strokeWidth={1}
          />
          <Label x={12} y={base + 27} text={length.long(plan.scaleBarMm)} color={colors.inkSoft} />
        </>
      )}
    </G>
  );
}

/** Where the soil should stand, outside the wall, when it does not. */
export function FillMark({
  fit,
  plan,
  scale: { x, y },
  colors,
  length,
}: PartProps & { fit: FitAnswer | null; length: LengthWords }) {
  const to = fit?.substrateDepthMm.recommended;
  if (to === undefined || to === null || Math.abs(to - plan.depthMm) < 0.5) return null;
  const [wanted, present] = [y(to), y(plan.depthMm)];
  const at = x(plan.floor.leftMm) - 14;
  return (
    <G>
      <Line x1={at} y1={present} x2={at} y2={wanted} stroke={colors.good} strokeWidth={2} strokeDasharray="3 2" />
      <Path d={`M ${at - 6} ${wanted} H ${at + 10}`} stroke={colors.good} strokeWidth={4} />
      <Label x={at - 10} y={wanted + 4} text={length.short(to)} color={colors.good} anchor="end" bold />
    </G>
  );
}
