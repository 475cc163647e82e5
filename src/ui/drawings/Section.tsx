import { View } from 'react-native';
import Svg, { Circle, Defs, G, Line, LinearGradient, Path, Rect, Stop, Text as SvgText } from 'react-native-svg';
import type { FitAnswer } from '@/core/housing/fit';
import type { SectionPlan, SectionVent } from '@/core/housing/section';
import { useTheme } from '../components/useStyles';
import { fonts, type Palette } from '../theme/tokens';
import type { LengthWords } from '../words/useLength';
import { Tarantula } from './Tarantula';

/** Room round the box for the wall, the fill mark and the dimensions. px */
const MARGIN = { left: 58, right: 22, top: 16, bottom: 44 };
const WALL = 3;
const MAX_HEIGHT = 380;
const TYPE = 13;

interface Props {
  plan: SectionPlan;
  fit: FitAnswer | null;
  length: LengthWords;
  /** Width to draw in. px */
  width: number;
  /** Said instead of seen. */
  label: string;
}

/**
 * The cut through a home, true to scale: one factor from millimetres to pixels for the box, the soil, the holes, the
 * furniture and the animal. What fails is marked where it fails.
 */
export function Section({ plan, fit, length, width, label }: Props) {
  const { theme } = useTheme();
  const colors = theme.colors;
  const pxPerMm = Math.min(
    (width - MARGIN.left - MARGIN.right) / plan.widthMm,
    (MAX_HEIGHT - MARGIN.top - MARGIN.bottom) / plan.heightMm,
  );
  const boxPx = { width: plan.widthMm * pxPerMm, height: plan.heightMm * pxPerMm };
  const left = MARGIN.left + (width - MARGIN.left - MARGIN.right - boxPx.width) / 2;
  const height = boxPx.height + MARGIN.top + MARGIN.bottom;
  const x = (mm: number) => left + mm * pxPerMm;
  const y = (mm: number) => MARGIN.top + (plan.heightMm - mm) * pxPerMm;
  const failing = (rules: string[]) =>
    fit?.checks.some((each) => each.status === 'fail' && rules.includes(each.rule)) ?? false;
  const scale = { x, y, pxPerMm };
  return (
    <View role="img" aria-label={label}>
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <Defs>
          <LinearGradient id="soil" x1="0" y1="0" x2="1" y2="0">
            <Stop offset="0" stopColor={colors.soilDamp} />
            <Stop offset="1" stopColor={plan.damp === 'even' ? colors.soilDamp : colors.soilDry} />
          </LinearGradient>
        </Defs>
        <Rect x={x(0)} y={y(plan.heightMm)} width={boxPx.width} height={boxPx.height} fill={colors.air} />
        {plan.depthMm > 0 && <Soil plan={plan} scale={scale} colors={colors} />}
        <Path
          d={`M ${x(0)} ${y(plan.heightMm)} V ${y(0)} H ${x(plan.widthMm)} V ${y(plan.heightMm)}`}
          fill="none"
          stroke={colors.wall}
          strokeWidth={WALL}
        />
        <Rect x={x(0) - 6} y={y(plan.heightMm) - 7} width={boxPx.width + 12} height={7} rx={1.5} fill={colors.wall} />
        {plan.vents.map((vent, index) => (
          <Opening key={index} vent={vent} scale={scale} colors={colors} unsafe={failing(['hole', 'mesh-lid'])} />
        ))}
        <Furniture plan={plan} scale={scale} colors={colors} />
        {plan.animal && (
          <G transform={`translate(${x(plan.animal.at.x)} ${y(plan.animal.at.y)}) rotate(${-plan.animal.angleDeg})`}>
            <Tarantula spanPx={plan.animal.spanMm * pxPerMm} color={colors.animal} light={colors.animalLight} />
          </G>
        )}
        <Dimensions
          plan={plan}
          scale={scale}
          colors={colors}
          length={length}
          gapFails={failing(['gap', 'headroom', 'climb'])}
          depthFails={failing(['soil-depth'])}
          widthFails={failing(['floor-width', 'turning-width'])}
        />
        <FillMark fit={fit} plan={plan} scale={scale} colors={colors} length={length} />
      </Svg>
    </View>
  );
}

interface Scale {
  x: (mm: number) => number;
  y: (mm: number) => number;
  pxPerMm: number;
}
interface PartProps {
  plan: SectionPlan;
  scale: Scale;
  colors: Palette;
}

function Soil({ plan, scale: { x, y, pxPerMm }, colors }: PartProps) {
  const top = y(plan.depthMm);
  const wide = plan.widthMm * pxPerMm;
  const tall = plan.depthMm * pxPerMm;
  const labelled = tall > 34 && wide > 170;
  return (
    <G>
      <Rect x={x(0)} y={top} width={wide} height={tall} fill="url(#soil)" />
      <Line
        x1={x(0)}
        y1={top}
        x2={x(plan.widthMm)}
        y2={top}
        stroke={colors.litter}
        strokeWidth={4}
        strokeDasharray="9 3"
      />
      {labelled && (
        <>
          <Label x={x(0) + 10} y={y(0) - 9} color={colors.onSoil} text="damp" />
          {plan.damp === 'gradient' && (
            <Label x={x(plan.widthMm) - 10} y={y(0) - 9} color={colors.onSoil} text="dry" anchor="end" />
          )}
        </>
      )}
    </G>
  );
}

/** An opening at its true size, and never so small that it could not be seen. */
function Opening({
  vent,
  scale: { x, y, pxPerMm },
  colors,
  unsafe,
}: {
  vent: SectionVent;
  scale: Scale;
  colors: Palette;
  unsafe: boolean;
}) {
  const stroke = unsafe ? colors.clay : colors.wall;
  const across = Math.max(vent.acrossMm * pxPerMm, 2.4);
  const tall = Math.max(vent.tallMm * pxPerMm, 2.4);
  const cx = x(vent.x);
  const cy = y(vent.y) - (vent.where === 'lid' ? 3.5 : 0);
  if (vent.where === 'behind' && vent.round) {
    return <Circle cx={cx} cy={cy} r={across / 2} fill={colors.ground} stroke={stroke} strokeWidth={1} />;
  }
  const isWall = vent.where === 'left' || vent.where === 'right';
  const size = isWall
    ? { w: WALL + 4, h: Math.max(tall, 4) }
    : { w: Math.max(across, 4), h: vent.where === 'behind' ? tall : 9 };
  return (
    <Rect
      x={cx - size.w / 2}
      y={cy - size.h / 2}
      width={size.w}
      height={size.h}
      fill={colors.ground}
      stroke={stroke}
      strokeWidth={1.2}
      {...(vent.meshed && { strokeDasharray: '2 1.5' })}
    />
  );
}

function Furniture({ plan, scale: { x, y, pxPerMm }, colors }: PartProps) {
  const { bark, dish } = plan;
  const isFlat = bark !== null && bark.foot.y === bark.top.y;
  const thick = Math.max(4, plan.widthMm * 0.03 * pxPerMm);
  return (
    <G>
      {bark && isFlat && (
        <Path
          d={`M ${x(bark.foot.x)} ${y(bark.foot.y)} Q ${x((bark.foot.x + bark.top.x) / 2)} ${
            y(bark.foot.y) - (x(bark.top.x) - x(bark.foot.x)) * 0.62
          } ${x(bark.top.x)} ${y(bark.top.y)}`}
          fill="none"
          stroke={colors.bark}
          strokeWidth={thick}
        />
      )}
      {bark && !isFlat && (
        <Line
          x1={x(bark.foot.x)}
          y1={y(bark.foot.y)}
          x2={x(bark.top.x)}
          y2={y(bark.top.y)}
          stroke={colors.bark}
          strokeWidth={thick}
          strokeLinecap="round"
        />
      )}
      {dish && (
        <Rect
          x={x(dish.leftMm)}
          y={y(plan.depthMm) - 4}
          width={dish.widthMm * pxPerMm}
          height={8}
          rx={1}
          fill={colors.dew}
          stroke={colors.wall}
          strokeWidth={1}
        />
      )}
    </G>
  );
}

interface DimensionProps extends PartProps {
  length: LengthWords;
  gapFails: boolean;
  depthFails: boolean;
  widthFails: boolean;
}

function Dimensions({
  plan,
  scale: { x, y, pxPerMm },
  colors,
  length,
  gapFails,
  depthFails,
  widthFails,
}: DimensionProps) {
  const at = x(plan.widthMm * 0.88);
  const inSoil = x(plan.widthMm * 0.24);
  const base = y(0) + 14;
  const gapInk = gapFails ? colors.clay : colors.inkSoft;
  const widthInk = widthFails ? colors.clay : colors.ink;
  const barPx = plan.scaleBarMm * pxPerMm;
  return (
    <G>
      {plan.animal && (
        <>
          <Measure x1={at} y1={y(plan.heightMm) + 3} x2={at} y2={y(plan.depthMm) - 5} color={gapInk} />
          <Tag
            x={at}
            y={(y(plan.heightMm) + y(plan.depthMm)) / 2}
            text={`gap ${length.long(plan.gapMm)}`}
            colors={colors}
            loud={gapFails}
            limit={x(plan.widthMm) - 6}
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
      <Measure x1={x(0)} y1={base} x2={x(plan.widthMm)} y2={base} color={widthInk} />
      <Label
        x={x(plan.widthMm / 2)}
        y={base + 19}
        text={`${length.long(plan.widthMm)} inside`}
        color={widthInk}
        anchor="middle"
        bold={widthFails}
      />
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
    </G>
  );
}

/** Where the soil should stand, outside the wall, when it does not. */
function FillMark({
  fit,
  plan,
  scale: { x, y },
  colors,
  length,
}: PartProps & { fit: FitAnswer | null; length: LengthWords }) {
  const to = fit?.substrateDepthMm.recommended;
  if (to === undefined || to === null || Math.abs(to - plan.depthMm) < 0.5) return null;
  const [wanted, present] = [y(to), y(plan.depthMm)];
  const at = x(0) - 14;
  return (
    <G>
      <Line x1={at} y1={present} x2={at} y2={wanted} stroke={colors.good} strokeWidth={2} strokeDasharray="3 2" />
      <Path d={`M ${at - 6} ${wanted} H ${at + 10}`} stroke={colors.good} strokeWidth={4} />
      <Label x={at - 10} y={wanted + 4} text={length.short(to)} color={colors.good} anchor="end" bold />
    </G>
  );
}

/** A dimension line with its end strokes. */
function Measure({ x1, y1, x2, y2, color }: { x1: number; y1: number; x2: number; y2: number; color: string }) {
  const upright = x1 === x2;
  const tick = (cx: number, cy: number) =>
    upright ? `M ${cx - 5} ${cy} H ${cx + 5}` : `M ${cx} ${cy - 4} V ${cy + 4}`;
  return (
    <Path
      d={`M ${x1} ${y1} L ${x2} ${y2} ${tick(x1, y1)} ${tick(x2, y2)}`}
      stroke={color}
      strokeWidth={1.5}
      fill="none"
    />
  );
}

interface LabelProps {
  x: number;
  y: number;
  text: string;
  color: string;
  anchor?: 'start' | 'middle' | 'end';
  bold?: boolean;
}

function Label({ x, y, text, color, anchor = 'start', bold = false }: LabelProps) {
  return (
    <SvgText x={x} y={y} fill={color} fontSize={TYPE} fontFamily={bold ? fonts.bold : fonts.text} textAnchor={anchor}>
      {text}
    </SvgText>
  );
}

/** A dimension's number on a ground of its own; filled with clay where the rule fails. */
function Tag({
  x,
  y,
  text,
  colors,
  loud,
  limit,
}: {
  x: number;
  y: number;
  text: string;
  colors: Palette;
  loud: boolean;
  limit: number;
}) {
  const wide = text.length * TYPE * 0.56 + 14;
  const leftEdge = Math.min(x - wide / 2, limit - wide);
  return (
    <G>
      <Rect x={leftEdge} y={y - 12} width={wide} height={24} rx={4} fill={loud ? colors.clay : colors.air} />
      <Label
        x={leftEdge + wide / 2}
        y={y + 4.5}
        text={text}
        color={loud ? colors.onClay : colors.ink}
        anchor="middle"
        bold={loud}
      />
    </G>
  );
}
