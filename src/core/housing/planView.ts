import { wallAlongLength, WALL_SIDES, type Container, type Vent, type WallSide } from './container';
import type { FurnitureKind } from './furniture';
import type { HomeState } from './quantities';
import type { SectionSubject } from './section';

/** A piece seen from above, by its middle. mm, x from the left, y from the front wall backward */
export interface PlanPiece {
  kind: FurnitureKind;
  x: number;
  y: number;
  longMm: number;
  shortMm: number;
}

/** The home from above, to scale. mm */
export interface PlanView {
  shape: Container['shape'];
  /** Along the longer side, and across. */
  longMm: number;
  shortMm: number;
  /** Share of the length, from the left, that is kept damp. */
  dampShare: number;
  pieces: PlanPiece[];
  /** Openings of each wall, spread along it as they are. */
  vents: { side: WallSide; share: number; acrossMm: number; meshed: boolean; covered: boolean }[];
  /** The room an animal takes: its measure across, where it stands. */
  animal: { x: number; y: number; sizeMm: number } | null;
}

/** Lays out what is known of a home as seen from above; the damp end is at the left, as in the section. */
export function planView(home: HomeState, subject: SectionSubject | null): PlanView {
  const { container } = home;
  const [longMm, shortMm] =
    container.shape === 'box'
      ? [Math.max(container.lengthMm, container.widthMm), Math.min(container.lengthMm, container.widthMm)]
      : [container.diameterMm, container.diameterMm];
  const standing = (home.furniture ?? []).flatMap(({ kind, count = 1 }) =>
    Array.from({ length: Math.min(count, 6) }, () => kind),
  );
  const size = Math.min(subject?.sizeMm ?? longMm / 4, longMm * 0.35);
  return {
    shape: container.shape,
    longMm,
    shortMm,
    dampShare: (subject?.dampSharePct ?? 50) / 100,
    pieces: standing.map((kind, index) => {
      const round = kind === 'dish' || kind === 'bottle';
      return {
        kind,
        x: ((index + 0.5) / standing.length) * longMm,
        y: shortMm * (index % 2 === 0 ? 0.68 : 0.36),
        longMm: round ? size * 0.45 : size * 0.8,
        shortMm: round ? size * 0.45 : Math.min(size * 0.45, shortMm * 0.3),
      };
    }),
    vents: container.vents.flatMap((vent) => alongWall(vent, container)),
    animal: subject && { x: longMm * 0.6, y: shortMm * 0.42, sizeMm: subject.sizeMm },
  };
}

function alongWall(vent: Vent, container: Container): PlanView['vents'] {
  const side = WALL_SIDES.find((each) => each === vent.side);
  if (!side) return [];
  const shown = Math.min(vent.count, 40);
  return Array.from({ length: shown }, (_, index) => ({
    side: wallAlongLength(container, side),
    share: (index + 0.5) / shown,
    acrossMm: vent.diameterMm ?? vent.widthMm ?? 0,
    meshed: vent.meshApertureMm !== undefined,
    covered: container.coveredSides?.includes(side) ?? false,
  }));
}
