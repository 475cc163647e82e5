import { Circle, Defs, G, Line, LinearGradient, Path, Rect, Stop } from 'react-native-svg';
import type { Piece, SectionVent } from '@/core/housing/section';
import type { Palette } from '../theme/tokens';
import { Label, type PartProps } from './parts';
import type { Scale } from './scale';

const WALL = 3;

/** The air in the box, and soil and litter under it. */
export function Filling({
  plan,
  scale: { x, y, pxPerMm },
  colors,
  id,
  isLabelled = true,
}: PartProps & { id: string; isLabelled?: boolean }) {
  const { floor, lid, surface, heightMm } = plan;
  const inside = `M ${x(floor.leftMm)} ${y(0)} L ${x(lid.leftMm)} ${y(heightMm)} H ${x(lid.rightMm)} L ${x(floor.rightMm)} ${y(0)} Z`;
  const line = surface.map((point) => `${x(point.x)} ${y(point.y)}`).join(' L ');
  const tall = plan.depthMm * pxPerMm;
  const litterPx = plan.litterMm * pxPerMm;
  const labelled = isLabelled && tall > 34 && (floor.rightMm - floor.leftMm) * pxPerMm > 170;
  return (
    <G>
      <Defs>
        <LinearGradient id={id} x1="0" y1="0" x2="1" y2="0">
          <Stop offset="0" stopColor={colors.soilDamp} />
          <Stop offset="1" stopColor={plan.damp === 'even' ? colors.soilDamp : colors.soilDry} />
        </LinearGradient>
      </Defs>
      <Path d={inside} fill={colors.air} />
      {plan.depthMm > 0 && (
        <>
          <Path d={`M ${x(floor.leftMm)} ${y(0)} L ${line} L ${x(floor.rightMm)} ${y(0)} Z`} fill={`url(#${id})`} />
          {litterPx > 4 && (
            <Path
              d={`M ${line}`}
              transform={`translate(0 ${-litterPx / 2})`}
              fill="none"
              stroke={colors.litter}
              strokeWidth={litterPx}
              opacity={0.4}
            />
          )}
          <Path
            d={`M ${line}`}
            transform={`translate(0 ${-Math.max(0, litterPx - 2)})`}
            fill="none"
            stroke={colors.litter}
            strokeWidth={isLabelled ? 4 : 2}
            strokeDasharray={isLabelled ? '9 3' : '5 2'}
          />
        </>
      )}
      {labelled && (
        <>
          <Label x={x(floor.leftMm) + 10} y={y(0) - 9} color={colors.onSoil} text="damp" />
          {plan.damp === 'gradient' && (
            <Label x={x(floor.rightMm) - 10} y={y(0) - 9} color={colors.onSoil} text="dry" anchor="end" />
          )}
        </>
      )}
    </G>
  );
}

/** Walls and lid in a picture among many. px */
const THIN = { wall: 2, lid: 4, over: 2 };
const THICK = { wall: WALL, lid: 7, over: 6 };

/** Walls and lid, drawn over what is in the box. */
export function Walls({ plan, scale: { x, y }, colors, isSmall = false }: PartProps & { isSmall?: boolean }) {
  const { floor, lid, heightMm } = plan;
  const px = isSmall ? THIN : THICK;
  return (
    <G>
      <Path
        d={`M ${x(lid.leftMm)} ${y(heightMm)} L ${x(floor.leftMm)} ${y(0)} H ${x(floor.rightMm)} L ${x(lid.rightMm)} ${y(heightMm)}`}
        fill="none"
        stroke={colors.wall}
        strokeWidth={px.wall}
      />
      <Rect
        x={x(lid.leftMm) - px.over}
        y={y(heightMm) - px.lid}
        width={x(lid.rightMm) - x(lid.leftMm) + 2 * px.over}
        height={px.lid}
        rx={1.5}
        fill={colors.wall}
      />
    </G>
  );
}

interface OpeningProps {
  vent: SectionVent;
  isSmall?: boolean;
  scale: Scale;
  colors: Palette;
  unsafe: boolean;
}

/** An opening at its true size, and never so small that it could not be seen. */
export function Opening({ vent, scale: { x, y, pxPerMm }, colors, unsafe, isSmall = false }: OpeningProps) {
  const stroke = unsafe ? colors.clay : colors.wall;
  const least = isSmall ? 1.4 : 2.4;
  const across = Math.max(vent.acrossMm * pxPerMm, least);
  const tall = Math.max(vent.tallMm * pxPerMm, least);
  const cx = x(vent.x);
  const cy = y(vent.y) - (vent.where === 'lid' ? 3.5 : 0);
  if (vent.where === 'behind' && vent.round) {
    return (
      <Circle cx={cx} cy={cy} r={across / 2} fill={colors.ground} stroke={stroke} strokeWidth={isSmall ? 0.7 : 1} />
    );
  }
  const isWall = vent.where === 'left' || vent.where === 'right';
  const size = isWall
    ? { w: isSmall ? 4 : WALL + 4, h: Math.max(tall, isSmall ? 2 : 4) }
    : { w: Math.max(across, isSmall ? 2 : 4), h: vent.where === 'behind' ? tall : isSmall ? 5 : 9 };
  return (
    <Rect
      x={cx - size.w / 2}
      y={cy - size.h / 2}
      width={size.w}
      height={size.h}
      fill={vent.where === 'behind' && vent.meshed ? 'none' : colors.ground}
      stroke={stroke}
      strokeWidth={isSmall ? 0.8 : 1.2}
      {...(vent.meshed && { strokeDasharray: '2 1.5' })}
    />
  );
}

/** What stands in the box. */
export function Furniture({ plan, scale, colors }: PartProps) {
  const { x, y, pxPerMm } = scale;
  return (
    <G>
      {plan.pieces.map((piece, index) => (
        <OnePiece key={index} piece={piece} scale={scale} colors={colors} />
      ))}
      {plan.dish && (
        <Rect
          x={x(plan.dish.leftMm)}
          y={y(plan.dish.y) - 4}
          width={plan.dish.widthMm * pxPerMm}
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

function OnePiece({ piece, scale: { x, y, pxPerMm }, colors }: { piece: Piece; scale: Scale; colors: Palette }) {
  const { kind, foot, top } = piece;
  const thick = Math.max(3, piece.thickMm * pxPerMm);
  const [x1, y1, x2, y2] = [x(foot.x), y(foot.y), x(top.x), y(top.y)];
  const wide = x2 - x1;
  switch (kind) {
    case 'stone-stack':
      return (
        <G>
          {[0, 1, 2].map((stone) => (
            <Rect
              key={stone}
              x={x1 + stone * wide * 0.06}
              y={y1 - (stone + 1) * (thick + 4)}
              width={wide * (1 - stone * 0.12)}
              height={thick}
              rx={3}
              fill={colors.inkSoft}
            />
          ))}
        </G>
      );
    case 'slab':
      return <Rect x={x1} y={y1 - thick} width={wide} height={thick} rx={3} fill={colors.inkSoft} />;
    case 'bottle':
      return (
        <G>
          <Rect
            x={x1 - 9}
            y={y2}
            width={18}
            height={y1 - y2}
            rx={3}
            fill={colors.dew}
            stroke={colors.wall}
            strokeWidth={1}
          />
          <Path
            d={`M ${x1} ${y2} Q ${x1 - 10} ${y2 - 30} ${x1 - 4} ${y2 - 60} M ${x1} ${y2} Q ${x1 + 12} ${y2 - 26} ${x1 + 16} ${y2 - 52}`}
            stroke={colors.litter}
            strokeWidth={3}
            fill="none"
          />
        </G>
      );
    case 'roof-net':
      return <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={colors.inkSoft} strokeWidth={3} strokeDasharray="3 2" />;
    default:
      break;
  }
  if (foot.y === top.y && kind !== 'branch' && kind !== 'perch') {
    return (
      <Path
        d={`M ${x1} ${y1} Q ${(x1 + x2) / 2} ${y1 - wide * 0.62} ${x2} ${y2}`}
        fill="none"
        stroke={colors.bark}
        strokeWidth={Math.max(4, thick)}
      />
    );
  }
  return <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={colors.bark} strokeWidth={thick} strokeLinecap="round" />;
}

/** Chambers, tube and outworld of an ant nest. */
export function NestParts({
  plan,
  scale: { x, y, pxPerMm },
  colors,
  isLabelled = true,
}: PartProps & { isLabelled?: boolean }) {
  const { nest } = plan;
  if (!nest) return null;
  const { tube, outworld } = nest;
  const rect = (room: { x: number; y: number; widthMm: number; heightMm: number }) => ({
    x: x(room.x),
    y: y(room.y + room.heightMm),
    width: room.widthMm * pxPerMm,
    height: room.heightMm * pxPerMm,
  });
  return (
    <G>
      <Rect
        x={x(plan.floor.leftMm)}
        y={y(plan.heightMm)}
        width={(plan.floor.rightMm - plan.floor.leftMm) * pxPerMm}
        height={plan.heightMm * pxPerMm}
        fill={colors.bark}
        opacity={0.45}
      />
      {nest.chambers.map((room, index) => (
        <Rect key={index} {...rect(room)} rx={Math.min(4, room.heightMm * pxPerMm * 0.3)} fill={colors.soilDamp} />
      ))}
      {outworld && <Rect {...rect(outworld)} fill={colors.air} stroke={colors.wall} strokeWidth={2} />}
      {outworld && isLabelled && (
        <Label
          x={x(outworld.x) + 6}
          y={y(outworld.heightMm) + 16}
          text={outworld.widthMm * pxPerMm > 70 ? 'outworld' : 'out'}
          color={colors.inkSoft}
        />
      )}
      {tube && (
        <G>
          <Line
            x1={x(tube.from.x)}
            y1={y(tube.from.y)}
            x2={x(tube.to.x)}
            y2={y(tube.to.y)}
            stroke={colors.wall}
            strokeWidth={Math.max(4, tube.boreMm * pxPerMm + 3)}
          />
          <Line
            x1={x(tube.from.x)}
            y1={y(tube.from.y) + 2}
            x2={x(tube.to.x)}
            y2={y(tube.to.y) - 2}
            stroke={colors.air}
            strokeWidth={Math.max(2, tube.boreMm * pxPerMm)}
          />
        </G>
      )}
    </G>
  );
}
