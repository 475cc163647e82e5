import { G, Path, Rect } from 'react-native-svg';
import type { Check } from '@/core/housing/fit';
import type { Point } from '@/core/housing/section';
import type { Quantity } from '@/core/profiles/profile';
import { marksOf } from '@/words/checks';
import { Label, type PartProps } from './parts';

type Anchor =
  'gap' | 'depth' | 'width' | 'height' | 'openings' | 'lid' | 'walls' | 'surface' | 'animals' | 'nest' | 'tube';

/** Where in the drawing a rule about a quantity is broken. */
const ANCHORS: Record<Quantity, Anchor> = {
  floorShortSideMm: 'width',
  floorLongSideMm: 'width',
  innerVolumeL: 'width',
  heightMm: 'height',
  substrateDepthMm: 'depth',
  surfaceToLidMm: 'gap',
  perchDropMm: 'gap',
  litterDepthMm: 'surface',
  widestOpeningMm: 'openings',
  ventSharePct: 'openings',
  openSidePairs: 'openings',
  openSides: 'openings',
  meshOverheadCount: 'lid',
  roofHoldCount: 'lid',
  topOpeningCount: 'lid',
  meshSideCount: 'walls',
  climbableWallCount: 'walls',
  hideCount: 'surface',
  hangingPlaceCount: 'walls',
  creviceCount: 'surface',
  bridgeCount: 'surface',
  openBottleCount: 'surface',
  headCount: 'animals',
  floorAreaPerHeadMm2: 'animals',
  nestFullnessPct: 'nest',
  tubeBoreMm: 'tube',
  nestCount: 'nest',
  outworldCount: 'tube',
};

const SIZE = 18;

/** Each rule that does not pass, marked where it is broken, with the number it has in the list of verdicts. */
export function Marks({ checks, ...part }: PartProps & { checks: Check[] }) {
  const used = new Map<Anchor, number>();
  return (
    <G>
      {marksOf(checks).map(({ check, number }) => {
        const anchor = ANCHORS[check.quantity];
        const before = used.get(anchor) ?? 0;
        used.set(anchor, before + 1);
        const at = place(anchor, part);
        return (
          <Mark
            key={`${check.rule} ${number}`}
            x={at.x + before * (SIZE + 3)}
            y={at.y}
            check={check}
            number={number}
            colors={part.colors}
          />
        );
      })}
    </G>
  );
}

function place(anchor: Anchor, { plan, scale: { x, y } }: PartProps): Point {
  const { floor, lid, heightMm, depthMm } = plan;
  const middle = x((floor.leftMm + floor.rightMm) / 2);
  switch (anchor) {
    case 'gap':
      return {
        x: x(lid.leftMm + (lid.rightMm - lid.leftMm) * 0.88) - SIZE - 10,
        y: y(depthMm + (heightMm - depthMm) * 0.8),
      };
    case 'depth':
      return { x: x(floor.leftMm) + 14, y: y(depthMm * 0.62) };
    case 'width':
      return { x: middle + 62, y: y(0) + 29 };
    case 'height':
      return { x: x(lid.rightMm) + 12, y: y(heightMm * 0.6) };
    case 'openings': {
      const vent = plan.vents[0];
      return vent
        ? { x: x(vent.x) + 14, y: y(vent.y) - 14 }
        : { x: x(floor.leftMm) + 14, y: y(depthMm + (heightMm - depthMm) * 0.62) };
    }
    case 'lid':
      return { x: x(lid.leftMm) + 40, y: y(heightMm) - 4 };
    case 'walls':
      return { x: x(floor.leftMm), y: y(depthMm + (heightMm - depthMm) * 0.35) };
    case 'surface':
      return { x: middle - 20, y: y(depthMm) };
    case 'animals': {
      const animal = plan.animals[0];
      return animal ? { x: x(animal.at.x), y: y(animal.at.y) - 34 } : { x: middle, y: y(depthMm) - 20 };
    }
    case 'nest':
      return { x: x(floor.leftMm) + 14, y: y(heightMm) - 14 };
    case 'tube':
      return { x: x(lid.rightMm) - 16, y: y(heightMm) - 22 };
  }
}

function Mark({ x, y, check, number, colors }: Point & { check: Check; number: number; colors: PartProps['colors'] }) {
  const isFail = check.status === 'fail';
  return (
    <G>
      {isFail ? (
        <Rect
          x={x - SIZE / 2}
          y={y - SIZE / 2}
          width={SIZE}
          height={SIZE}
          fill={colors.clay}
          stroke={colors.air}
          strokeWidth={1.5}
        />
      ) : (
        <Path
          d={`M ${x} ${y - SIZE * 0.62} L ${x + SIZE * 0.66} ${y + SIZE * 0.5} H ${x - SIZE * 0.66} Z`}
          fill={colors.air}
          stroke={colors.amber}
          strokeWidth={2.5}
          strokeLinejoin="round"
        />
      )}
      <Label
        x={x}
        y={y + (isFail ? 4.5 : 6.5)}
        text={String(number)}
        color={isFail ? colors.onClay : colors.amber}
        anchor="middle"
        bold
      />
    </G>
  );
}
