import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { SectionPlan } from '@/core/housing/section';
import { fonts, type Palette } from '../theme/tokens';
import type { Scale } from './scale';

/** What every part of a drawing is given. */
export interface PartProps {
  plan: SectionPlan;
  scale: Scale;
  colors: Palette;
}

/** Type in drawings. px */
export const TYPE = 13;

interface LabelProps {
  x: number;
  y: number;
  text: string;
  color: string;
  anchor?: 'start' | 'middle' | 'end';
  bold?: boolean;
}

export function Label({ x, y, text, color, anchor = 'start', bold = false }: LabelProps) {
  return (
    <SvgText x={x} y={y} fill={color} fontSize={TYPE} fontFamily={bold ? fonts.bold : fonts.text} textAnchor={anchor}>
      {text}
    </SvgText>
  );
}

/** A dimension line with its end strokes. */
export function Measure({ x1, y1, x2, y2, color }: { x1: number; y1: number; x2: number; y2: number; color: string }) {
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

interface TagProps {
  x: number;
  y: number;
  text: string;
  colors: Palette;
  loud: boolean;
  /** The right edge it has to keep left of. px */
  limit: number;
}

/** A dimension's number on a ground of its own; filled with clay where the rule fails. */
export function Tag({ x, y, text, colors, loud, limit }: TagProps) {
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
