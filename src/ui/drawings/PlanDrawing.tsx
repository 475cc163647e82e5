import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Defs, Ellipse, G, Line, LinearGradient, Rect, Stop } from 'react-native-svg';
import type { PlanView } from '@/core/housing/planView';
import { useTheme } from '../components/useStyles';
import type { Palette } from '../theme/tokens';
import { useLength } from '@/words/useLength';
import { Label, Measure } from './parts';

const MARGIN = { left: 40, right: 40, top: 20, bottom: 42 };
const MAX_HEIGHT = 300;

/** The home from above, to scale: floor, damp and dry, openings, furniture, and the room the animal takes. */
export function PlanDrawing({ plan, subject }: { plan: PlanView; subject: string }) {
  const { theme } = useTheme();
  const { colors } = theme;
  const length = useLength();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const [width, setWidth] = useState(0);
  const pxPerMm = Math.min(
    (width - MARGIN.left - MARGIN.right) / plan.longMm,
    (MAX_HEIGHT - MARGIN.top - MARGIN.bottom) / plan.shortMm,
  );
  const [w, h] = [plan.longMm * pxPerMm, plan.shortMm * pxPerMm];
  const left = (width - w) / 2;
  const x = (mm: number) => left + mm * pxPerMm;
  // The front is nearest to whoever stands before the shelf: at the bottom of the picture.
  const y = (mm: number) => MARGIN.top + (plan.shortMm - mm) * pxPerMm;
  const height = h + MARGIN.top + MARGIN.bottom;
  const label = `${subject} from above, ${length.long(plan.longMm)} by ${length.long(plan.shortMm)} inside; the damp end is at the left`;
  // Too small to be written into.
  const isSmall = (plan.animal?.sizeMm ?? 0) * pxPerMm < 70;
  const dampEnd = `${Math.round(plan.dampShare * 100)}%`;
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ minHeight: 120 }}>
      {width > 0 ? (
        <View role="img" aria-label={label}>
          <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
            <Defs>
              <LinearGradient id={id} x1="0" y1="0" x2="1" y2="0">
                <Stop offset="0%" stopColor={colors.soilDamp} />
                <Stop offset={dampEnd} stopColor={colors.soilDamp} />
                <Stop offset="100%" stopColor={plan.dampShare >= 0.9 ? colors.soilDamp : colors.soilDry} />
              </LinearGradient>
            </Defs>
            {plan.shape === 'box' ? (
              <Rect
                x={x(0)}
                y={y(plan.shortMm)}
                width={w}
                height={h}
                fill={`url(#${id})`}
                stroke={colors.wall}
                strokeWidth={3}
              />
            ) : (
              <Circle
                cx={x(plan.longMm / 2)}
                cy={y(plan.shortMm / 2)}
                r={w / 2}
                fill={`url(#${id})`}
                stroke={colors.wall}
                strokeWidth={3}
              />
            )}
            {plan.pieces.map((piece, index) => (
              <Ellipse
                key={index}
                cx={x(piece.x)}
                cy={y(piece.y)}
                rx={(piece.longMm / 2) * pxPerMm}
                ry={(piece.shortMm / 2) * pxPerMm}
                fill={piece.kind === 'dish' || piece.kind === 'bottle' ? colors.dew : colors.bark}
                stroke={colors.onSoil}
                strokeWidth={1}
              />
            ))}
            {plan.vents.map((vent, index) => (
              <Notch key={index} vent={vent} plan={plan} x={x} y={y} pxPerMm={pxPerMm} colors={colors} />
            ))}
            {plan.animal ? (
              <G>
                <Circle
                  cx={x(plan.animal.x)}
                  cy={y(plan.animal.y)}
                  r={(plan.animal.sizeMm / 2) * pxPerMm}
                  fill="none"
                  stroke={colors.onSoil}
                  strokeWidth={2}
                  strokeDasharray="4 3"
                />
                <Label
                  x={x(plan.animal.x) + (isSmall ? (plan.animal.sizeMm / 2) * pxPerMm + 6 : 0)}
                  y={y(plan.animal.y) + 4.5}
                  text={length.long(plan.animal.sizeMm)}
                  color={colors.onSoil}
                  anchor={isSmall ? 'start' : 'middle'}
                  bold
                />
              </G>
            ) : null}
            <Measure x1={x(0)} y1={y(0) + 12} x2={x(plan.longMm)} y2={y(0) + 12} color={colors.ink} />
            <Label
              x={x(plan.longMm / 2)}
              y={y(0) + 30}
              text={`${length.long(plan.longMm)}, front`}
              color={colors.ink}
              anchor="middle"
            />
            {plan.shape === 'box' ? (
              <>
                <Measure
                  x1={x(plan.longMm) + 12}
                  y1={y(plan.shortMm)}
                  x2={x(plan.longMm) + 12}
                  y2={y(0)}
                  color={colors.ink}
                />
                <Label
                  x={x(plan.longMm) + 18}
                  y={(y(0) + y(plan.shortMm)) / 2}
                  text={length.short(plan.shortMm)}
                  color={colors.ink}
                />
              </>
            ) : null}
          </Svg>
        </View>
      ) : null}
    </View>
  );
}

interface NotchProps {
  vent: PlanView['vents'][number];
  plan: PlanView;
  x: (mm: number) => number;
  y: (mm: number) => number;
  pxPerMm: number;
  colors: Palette;
}

/** An opening as a gap in the wall; one that is covered from outside is crossed in clay. */
function Notch({ vent, plan, x, y, pxPerMm, colors }: NotchProps) {
  const half = Math.max(1.5, (vent.acrossMm * pxPerMm) / 2);
  const ink = vent.covered ? colors.clay : colors.air;
  const dash = vent.meshed ? { strokeDasharray: '2 1.5' } : {};
  if (plan.shape === 'cylinder') {
    const quarter = { right: 0, back: 90, left: 180, front: 270 }[vent.side];
    const angle = ((quarter + (vent.share - 0.5) * 80) * Math.PI) / 180;
    const radius = plan.longMm / 2;
    const [cx, cy] = [x(radius + radius * Math.cos(angle)), y(radius + radius * Math.sin(angle))];
    return <Circle cx={cx} cy={cy} r={Math.max(2, half)} fill={ink} stroke={colors.wall} strokeWidth={1} />;
  }
  if (vent.side === 'left' || vent.side === 'right') {
    const at = x(vent.side === 'left' ? 0 : plan.longMm);
    const cy = y(vent.share * plan.shortMm);
    return <Line x1={at} y1={cy - half} x2={at} y2={cy + half} stroke={ink} strokeWidth={3.5} {...dash} />;
  }
  const at = y(vent.side === 'front' ? 0 : plan.shortMm);
  const cx = x(vent.share * plan.longMm);
  return <Line x1={cx - half} y1={at} x2={cx + half} y2={at} stroke={ink} strokeWidth={3.5} {...dash} />;
}
