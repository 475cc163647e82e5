import type { Home } from '@/contract/records';
import type { Container } from '@/core/housing/container';
import { box, holes, net, vial, windows } from './boxes';

/** The Ropewalk Warm House, Saltmere: who keeps it, its shelves, and the boxes on them. */
export const KEEPERS = ['Imre Talsk', 'Odalys Fenn', 'Bram Lindqvist-Oro'] as const;

export const SHELVES = [
  { key: 'A', room: 'Boiler Room', name: 'Shelf A', loadLimitKg: 40 },
  { key: 'BU', room: 'Boiler Room', name: 'Shelf B, upper', loadLimitKg: 60 },
  { key: 'BL', room: 'Boiler Room', name: 'Shelf B, lower', loadLimitKg: 60 },
  { key: 'C', room: 'Boiler Room', name: 'Shelf C', loadLimitKg: 60 },
  { key: 'D', room: 'Boiler Room', name: 'Shelf D, leaves', loadLimitKg: 40 },
  { key: 'E', room: 'North Store', name: 'Shelf E, cultures', loadLimitKg: 50 },
  { key: 'F', room: 'North Store', name: 'Ant bench', loadLimitKg: 80 },
  { key: 'N', room: 'North Store', name: 'Spare tubs', loadLimitKg: 40 },
  { key: 'K', room: 'Cellar', name: 'Cellar shelf', loadLimitKg: 60 },
  { key: 'R', room: 'Refrigerator', name: 'Upper shelf', loadLimitKg: 12 },
] as const;
export type ShelfKey = (typeof SHELVES)[number]['key'];

type Contents = Partial<Pick<Home, 'furniture' | 'litterDepthMm' | 'nest' | 'mixId' | 'soil' | 'weightLimitKg'>>;

export interface DemoHome extends Contents {
  code: string;
  shelf: ShelfKey;
  container: Container;
  substrateDepthMm: number;
}

const LEFT_RIGHT = ['left', 'right'] as const;
const FOUR_SIDES = ['left', 'right', 'front', 'back'] as const;
const home = (
  code: string,
  shelf: ShelfKey,
  container: Container,
  substrateDepthMm: number,
  contents: Contents = {},
): DemoHome => ({ code, shelf, container, substrateDepthMm, ...contents });

const glass = { walls: 'glass', opens: 'front' } as const;
const hide = { kind: 'hide' } as const;
const dish = { kind: 'dish' } as const;
const branches = (count: number) => ({ kind: 'branch', count }) as const;
const bottle = { kind: 'bottle', stopped: true } as const;
const perchAt = (heightMm: number, count = 1) => ({ kind: 'perch', heightMm, count }) as const;

function nestOf(
  count: number,
  [lengthMm, widthMm, heightMm]: [number, number, number],
  tubeBoreMm: number,
  outworld: [number, number, number],
): Home['nest'] {
  return {
    chambers: Array.from({ length: count }, () => ({ lengthMm, widthMm, heightMm })),
    tubeBoreMm,
    outworld: { lengthMm: outworld[0], widthMm: outworld[1], heightMm: outworld[2] },
  };
}

export const HOMES: DemoHome[] = [
  home('A1', 'A', vial(45, 80, holes([...LEFT_RIGHT], 3, 1.2, 72)), 62),
  home('A2', 'A', vial(45, 80, holes([...LEFT_RIGHT], 3, 1.2, 72)), 48),
  home('A3', 'A', vial(70, 110, holes([...LEFT_RIGHT], 4, 2, 98)), 78),
  home('A4', 'A', box(100, 100, 150, holes([...LEFT_RIGHT], 6, 3, 110)), 20),
  home('A5', 'A', box(120, 120, 200, holes(['right', 'lid'], 6, 3, 150)), 25),
  home('A6', 'A', box(170, 130, 100, holes([...FOUR_SIDES], 4, 3, 80)), 45),
  home('A7', 'A', box(170, 130, 100, holes([...FOUR_SIDES], 4, 3, 80)), 40),
  home('A8', 'A', vial(45, 80, holes([...LEFT_RIGHT], 3, 1.2, 72)), 50),
  home('B1', 'BU', box(240, 200, 120, holes([...FOUR_SIDES], 5, 3, 95)), 50),
  home('B2', 'BU', box(300, 300, 450, holes([...LEFT_RIGHT], 12, 4, 320)), 50),
  home('B3', 'BU', box(310, 240, 296, holes([...LEFT_RIGHT], 3, 4, 200)), 98),
  home('B4', 'BU', box(200, 200, 300, holes([...LEFT_RIGHT], 10, 3, 210)), 35),
  home('B5', 'BU', box(390, 290, 150, holes([...FOUR_SIDES], 6, 4, 120)), 74),
  home('B6', 'BU', box(200, 200, 300, holes([...LEFT_RIGHT], 10, 3, 210)), 40),
  home('B7', 'BL', box(390, 290, 150, holes([...FOUR_SIDES], 6, 4, 120)), 70),
  home('B8', 'BL', vial(90, 160, holes([...LEFT_RIGHT], 4, 2, 120)), 25),
  home('B9', 'BL', box(390, 290, 150, holes([...FOUR_SIDES], 6, 4, 120)), 60),
  home('B10', 'BL', box(240, 200, 120, holes([...FOUR_SIDES], 5, 3, 95)), 30),
  home('B11', 'BL', box(500, 300, 300, holes([...LEFT_RIGHT], 8, 5, 250)), 120),
  home('C1', 'C', box(300, 300, 450, holes([...LEFT_RIGHT], 10, 3, 330), 'vented', glass), 40, {
    furniture: [{ kind: 'bark-round', count: 2 }],
    mixId: 'coir',
  }),
  home(
    'C2',
    'C',
    box(300, 200, 200, holes([...FOUR_SIDES], 14, 5, 160), 'solid', { walls: 'plastic', opens: 'top' }),
    75,
    {
      furniture: [hide, dish],
      mixId: 'coir-topsoil',
      soil: { shape: 'slope', frontMm: 90, backMm: 60 },
    },
  ),
  home(
    'C3',
    'C',
    box(300, 200, 240, holes([...FOUR_SIDES], 12, 4, 200), 'solid', { walls: 'plastic', opens: 'top' }),
    130,
    {
      furniture: [{ kind: 'slab' }, dish],
      mixId: 'sand-clay',
      soil: { shape: 'slope', frontMm: 150, backMm: 110 },
    },
  ),
  home(
    'C4',
    'C',
    box(400, 250, 250, holes([...FOUR_SIDES], 10, 4, 200), 'solid', { walls: 'glass-silicone', opens: 'top' }),
    50,
    { furniture: [{ kind: 'stone-stack', count: 2 }, dish], mixId: 'sand-clay' },
  ),
  home('C5', 'C', box(300, 300, 300, holes([...LEFT_RIGHT], 12, 1, 220), 'solid', glass), 40, {
    furniture: [perchAt(240, 4), { kind: 'bark', count: 3 }],
    litterDepthMm: 5,
    mixId: 'coir-topsoil',
  }),
  home(
    'C6',
    'C',
    box(300, 200, 340, holes([...FOUR_SIDES], 6, 3, 300), 'solid', { walls: 'plastic', opens: 'top' }),
    170,
    {
      furniture: [hide, dish],
      mixId: 'coir-topsoil',
    },
  ),
  home('C7', 'C', box(150, 150, 200, holes([...LEFT_RIGHT], 8, 2.5, 150), 'solid', glass), 20, {
    furniture: [branches(2), { kind: 'bark' }],
    mixId: 'coir',
  }),
  home('D1', 'D', box(150, 150, 200, holes([...LEFT_RIGHT], 8, 2.5, 150), 'mesh', { opens: 'front' }), 20, {
    furniture: [branches(2)],
    mixId: 'coir',
  }),
  home('D2', 'D', box(150, 150, 200, holes([...LEFT_RIGHT], 8, 2.5, 150), 'mesh', { opens: 'front' }), 20, {
    furniture: [branches(3)],
    mixId: 'coir',
  }),
  home('D3', 'D', box(100, 100, 150, holes([...LEFT_RIGHT], 6, 2, 110), 'mesh', { opens: 'top' }), 15, {
    furniture: [branches(1)],
    mixId: 'coir',
  }),
  home('D4', 'D', net(300, 300, 300), 0, { furniture: [branches(3), bottle] }),
  home(
    'D5',
    'D',
    box(450, 300, 350, windows([...LEFT_RIGHT], 260, 160, 240, 1), 'solid', { walls: 'plastic', opens: 'top' }),
    70,
    { furniture: [{ kind: 'bark', count: 4 }, branches(2), bottle], mixId: 'coir-sand', litterDepthMm: 0 },
  ),
  home('D6', 'D', net(400, 400, 600), 0, { furniture: [branches(4), bottle] }),
  home('D7', 'D', net(300, 300, 300), 0, { furniture: [branches(3), { kind: 'bottle' }] }),
  home('E1', 'E', box(280, 180, 120, windows([...LEFT_RIGHT], 30, 30, 90, 0.3), 'solid', { walls: 'plastic' }), 50, {
    furniture: [{ kind: 'bark', count: 2 }],
    litterDepthMm: 15,
    mixId: 'isopod-litter',
  }),
  home('E2', 'E', box(200, 140, 90, [], 'solid', { walls: 'plastic' }), 50, {
    furniture: [{ kind: 'bark' }],
    litterDepthMm: 10,
    mixId: 'isopod-litter',
  }),
  home('E3', 'E', box(280, 180, 120, windows([...LEFT_RIGHT], 40, 40, 85, 0.3), 'solid', { walls: 'plastic' }), 45, {
    furniture: [{ kind: 'bark', count: 2 }],
    litterDepthMm: 20,
    mixId: 'compost-wood',
  }),
  home('E4', 'E', vial(110, 100, []), 30, { mixId: 'charcoal', furniture: [] }),
  home('E5', 'E', box(450, 350, 350, windows([...LEFT_RIGHT], 60, 40, 300, 0.5), 'solid', { walls: 'plastic' }), 180, {
    furniture: [{ kind: 'bark', count: 2 }, hide],
    litterDepthMm: 30,
    mixId: 'millipede-soil',
    soil: { shape: 'terraces', depthsMm: [200, 180, 160] },
  }),
  home('E6', 'E', box(450, 300, 250, windows([...LEFT_RIGHT], 60, 50, 190, 1), 'solid', { walls: 'plastic' }), 80, {
    furniture: [{ kind: 'hide', count: 2 }],
    litterDepthMm: 10,
    mixId: 'snail-soil',
  }),
  home('E7', 'E', box(200, 140, 90, windows([...LEFT_RIGHT], 20, 20, 70, 0.3), 'solid', { walls: 'plastic' }), 40, {
    furniture: [{ kind: 'bark' }],
    litterDepthMm: 10,
    mixId: 'isopod-litter',
  }),
  home('F1', 'F', box(400, 100, 60, [], 'solid', { walls: 'plaster' }), 0, {
    nest: nestOf(3, [120, 80, 15], 9, [250, 180, 150]),
  }),
  home('F2', 'F', box(160, 60, 30, [], 'solid', { walls: 'plaster' }), 0, {
    nest: nestOf(2, [60, 40, 8], 5, [180, 120, 100]),
  }),
  home('F3', 'F', box(80, 50, 30, [], 'solid', { walls: 'plaster' }), 0, {
    nest: nestOf(1, [50, 30, 8], 6, [120, 90, 80]),
  }),
  home('F4', 'F', box(250, 120, 90, [], 'solid', { walls: 'plastic' }), 0, {
    nest: nestOf(2, [100, 100, 60], 12, [400, 300, 200]),
  }),
  home('N1', 'N', box(170, 130, 100, holes([...LEFT_RIGHT], 3, 3, 80), 'mesh'), 0),
  home('N2', 'N', box(170, 130, 100, holes([...FOUR_SIDES], 4, 3, 80)), 0),
  home('N3', 'N', vial(70, 110, holes([...LEFT_RIGHT], 4, 2, 98)), 0),
  home('N4', 'N', box(200, 200, 300, []), 0),
  home('N5', 'N', box(300, 200, 200, holes([...LEFT_RIGHT], 6, 3, 170)), 0),
  home('N6', 'N', vial(60, 120, []), 0),
  home('N7', 'N', box(280, 180, 120, windows([...LEFT_RIGHT], 40, 40, 85, 0.3), 'solid', { walls: 'plastic' }), 0),
  home('N8', 'N', box(200, 200, 300, holes([...LEFT_RIGHT], 10, 3, 220), 'mesh', { opens: 'front' }), 0),
  home('N9', 'N', { ...vial(160, 180, holes([...LEFT_RIGHT], 6, 2, 150)), topDiameterMm: 190 }, 0),
  home('D8', 'D', box(150, 100, 60, windows(['left'], 20, 20, 45, 0.3), 'solid', { walls: 'plastic' }), 20, {
    mixId: 'coir-sand',
  }),
  home('D10', 'D', box(150, 100, 60, windows(['left'], 20, 20, 45, 0.3), 'solid', { walls: 'plastic' }), 20, {
    mixId: 'coir-sand',
  }),
  home('D11', 'D', net(300, 300, 400), 0, { furniture: [branches(2)] }),
  home('F5', 'F', vial(30, 150, []), 0),
  home('D9', 'D', net(300, 300, 300), 0, { furniture: [branches(3), { kind: 'bottle', stopped: true }] }),
];
