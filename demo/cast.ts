import type { Home } from '@/contract/records';
import type { MoultSign, Stage } from '@/core/profiles/profile';
import type { Container } from '@/core/housing/container';
import { box, holes, net, vial, windows } from './boxes';

/** The Ropewalk Warm House, Saltmere: who keeps it, and what stands on its shelves. */
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
    box(300, 200, 200, holes([...FOUR_SIDES], 5, 3, 160), 'solid', { walls: 'plastic', opens: 'top' }),
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
];

export interface DemoResident {
  called: string;
  scientificName: string;
  commonName: string;
  profile: string;
  stage: Stage;
  /** The measure that is taken of its kind; left out for those that are counted. */
  sizeMm?: number;
  headCount?: number;
  sex: 'unknown' | 'female' | 'male';
  home: string;
  /** Days between meals, days since the last one was offered, and what came of it. */
  meals?: { everyDays: number; lastDaysAgo: number; outcome: 'eaten' | 'refused' | 'open' };
  /** Days since the dish was filled or the soil damped. */
  waterDaysAgo: number;
  /** Days before today on which it moulted, the latest first. */
  moultsDaysAgo: number[];
  /** What was noticed, and how many days ago. */
  signs?: { sign: MoultSign; daysAgo: number }[];
}

const CURLY = {
  scientificName: 'Tliltocatl albopilosus',
  commonName: 'Curly-haired tarantula',
  profile: 'ground-tarantula',
} as const;
const BLACK = {
  scientificName: 'Grammostola pulchra',
  commonName: 'Brazilian black tarantula',
  profile: 'ground-tarantula',
} as const;
const PINKTOE = {
  scientificName: 'Caribena versicolor',
  commonName: 'Antilles pinktoe',
  profile: 'tree-tarantula',
} as const;
const ORNAMENTAL = {
  scientificName: 'Poecilotheria regalis',
  commonName: 'Indian ornamental',
  profile: 'tree-tarantula',
} as const;

const WHIP = {
  scientificName: 'Heterophrynus batesii',
  commonName: 'Amazon whip spider',
  profile: 'whip-spider',
} as const;
const FOREST = {
  scientificName: 'Heterometrus silenus',
  commonName: 'Asian forest scorpion',
  profile: 'forest-scorpion',
} as const;
const DESERT = {
  scientificName: 'Hadrurus arizonensis',
  commonName: 'Giant desert hairy scorpion',
  profile: 'desert-scorpion',
} as const;
const ROCK = {
  scientificName: 'Hadogenes paucidens',
  commonName: 'Flat rock scorpion',
  profile: 'crevice-scorpion',
} as const;
const ASSASSIN = {
  scientificName: 'Pristhesancus plagipennis',
  commonName: 'Bee killer assassin bug',
  profile: 'communal-assassin-bug',
} as const;
const BLUE = {
  scientificName: 'Chilobrachys natanicharum',
  commonName: 'Electric blue tarantula',
  profile: 'burrowing-tarantula',
} as const;
const JUMPER = {
  scientificName: 'Hyllus diardi',
  commonName: 'Heavy jumper',
  profile: 'jumping-spider',
} as const;
const GIANT_MANTIS = {
  scientificName: 'Hierodula membranacea',
  commonName: 'Giant Asian mantis',
  profile: 'mantis',
} as const;
const GHOST = {
  scientificName: 'Phyllocrania paradoxa',
  commonName: 'Ghost mantis',
  profile: 'mantis',
} as const;
const ORCHID = {
  scientificName: 'Hymenopus coronatus',
  commonName: 'Orchid mantis',
  profile: 'mantis',
} as const;
const STICK = {
  scientificName: 'Carausius morosus',
  commonName: 'Indian stick insect',
  profile: 'stick-insect',
} as const;
const DEVIL = {
  scientificName: 'Eurycantha calcarata',
  commonName: 'Thorny devil stick insect',
  profile: 'ground-stick-insect',
} as const;
const LEAF = {
  scientificName: 'Phyllium philippinicum',
  commonName: 'Philippine leaf insect',
  profile: 'leaf-insect',
} as const;
const LUNA = {
  scientificName: 'Actias luna',
  commonName: 'Luna moth',
  profile: 'moth-tropical',
} as const;
const SWIFT = {
  scientificName: 'Porcellio laevis',
  commonName: 'Swift isopod',
  profile: 'isopod-temperate',
} as const;
const LITTLE_SEA = {
  scientificName: 'Cubaris murina',
  commonName: 'Little sea isopod',
  profile: 'isopod-dwarf-tropical',
} as const;
const NOSY = {
  scientificName: 'Armadillidium nasatum',
  commonName: 'Nosy pill isopod',
  profile: 'isopod-temperate',
} as const;
const SPRINGTAIL = {
  scientificName: 'Folsomia candida',
  commonName: 'White springtail',
  profile: 'springtail',
} as const;
const MILLIPEDE = {
  scientificName: 'Archispirostreptus gigas',
  commonName: 'Giant African millipede',
  profile: 'millipede-tropical',
} as const;
const SNAIL = {
  scientificName: 'Cornu aspersum',
  commonName: 'Garden snail',
  profile: 'land-snail',
} as const;
const CARPENTER = {
  scientificName: 'Camponotus ligniperda',
  commonName: 'Brown-black carpenter ant',
  profile: 'ant-large-mediterranean',
} as const;
const RED_ANT = {
  scientificName: 'Myrmica rubra',
  commonName: 'Red ant',
  profile: 'ant-small-temperate',
} as const;
const SILKY_ANT = {
  scientificName: 'Formica fusca',
  commonName: 'Silky ant',
  profile: 'ant-small-temperate',
} as const;
const LEAFCUTTER = {
  scientificName: 'Acromyrmex octospinosus',
  commonName: 'Eight-spined leafcutter ant',
  profile: 'ant-leafcutter',
} as const;

export const RESIDENTS: DemoResident[] = [
  {
    ...CURLY,
    called: 'Thimble',
    stage: 'spiderling',
    sizeMm: 14,
    sex: 'unknown',
    home: 'A1',
    meals: { everyDays: 4, lastDaysAgo: 4, outcome: 'eaten' },
    waterDaysAgo: 2,
    moultsDaysAgo: [31, 74],
  },
  {
    ...CURLY,
    called: 'Cinder',
    stage: 'spiderling',
    sizeMm: 27,
    sex: 'unknown',
    home: 'A2',
    meals: { everyDays: 4, lastDaysAgo: 2, outcome: 'eaten' },
    waterDaysAgo: 5,
    moultsDaysAgo: [12, 58, 101],
  },
  {
    ...BLACK,
    called: 'Pip',
    stage: 'spiderling',
    sizeMm: 24,
    sex: 'unknown',
    home: 'A3',
    meals: { everyDays: 4, lastDaysAgo: 3, outcome: 'eaten' },
    waterDaysAgo: 4,
    moultsDaysAgo: [47, 103],
  },
  {
    ...PINKTOE,
    called: 'Lantern',
    stage: 'juvenile',
    sizeMm: 45,
    sex: 'unknown',
    home: 'A4',
    meals: { everyDays: 7, lastDaysAgo: 3, outcome: 'eaten' },
    waterDaysAgo: 7,
    moultsDaysAgo: [55, 121],
  },
  {
    ...PINKTOE,
    called: 'Halyard',
    stage: 'juvenile',
    sizeMm: 62,
    sex: 'unknown',
    home: 'A5',
    meals: { everyDays: 7, lastDaysAgo: 5, outcome: 'eaten' },
    waterDaysAgo: 3,
    moultsDaysAgo: [80],
  },
  {
    ...BLACK,
    called: 'Soot',
    stage: 'juvenile',
    sizeMm: 58,
    sex: 'unknown',
    home: 'A6',
    meals: { everyDays: 7, lastDaysAgo: 16, outcome: 'eaten' },
    waterDaysAgo: 6,
    moultsDaysAgo: [64, 150],
  },
  {
    ...CURLY,
    called: 'Bracken',
    stage: 'juvenile',
    sizeMm: 64,
    sex: 'female',
    home: 'A7',
    meals: { everyDays: 7, lastDaysAgo: 7, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [39, 118],
  },
  {
    ...BLACK,
    called: 'Ferrous',
    stage: 'subadult',
    sizeMm: 92,
    sex: 'male',
    home: 'B1',
    meals: { everyDays: 14, lastDaysAgo: 8, outcome: 'refused' },
    waterDaysAgo: 4,
    moultsDaysAgo: [112],
  },
  {
    ...ORNAMENTAL,
    called: 'Marquise',
    stage: 'adult',
    sizeMm: 150,
    sex: 'female',
    home: 'B2',
    meals: { everyDays: 7, lastDaysAgo: 6, outcome: 'eaten' },
    waterDaysAgo: 8,
    moultsDaysAgo: [170],
  },
  {
    ...CURLY,
    called: 'Bramble',
    stage: 'adult',
    sizeMm: 118,
    sex: 'female',
    home: 'B3',
    meals: { everyDays: 14, lastDaysAgo: 14, outcome: 'eaten' },
    waterDaysAgo: 3,
    moultsDaysAgo: [93],
  },
  {
    ...PINKTOE,
    called: 'Vesper',
    stage: 'adult',
    sizeMm: 110,
    sex: 'female',
    home: 'B4',
    meals: { everyDays: 7, lastDaysAgo: 1, outcome: 'open' },
    waterDaysAgo: 7,
    moultsDaysAgo: [140],
  },
  {
    ...BLACK,
    called: 'Widow Orme',
    stage: 'adult',
    sizeMm: 140,
    sex: 'female',
    home: 'B5',
    meals: { everyDays: 14, lastDaysAgo: 19, outcome: 'refused' },
    waterDaysAgo: 5,
    moultsDaysAgo: [],
    signs: [
      { sign: 'dull', daysAgo: 16 },
      { sign: 'dark', daysAgo: 5 },
    ],
  },
  {
    ...ORNAMENTAL,
    called: 'Sexton',
    stage: 'juvenile',
    sizeMm: 84,
    sex: 'unknown',
    home: 'B6',
    meals: { everyDays: 7, lastDaysAgo: 20, outcome: 'refused' },
    waterDaysAgo: 2,
    moultsDaysAgo: [3, 97],
  },
  {
    ...CURLY,
    called: 'Old Tarry',
    stage: 'adult',
    sizeMm: 125,
    sex: 'male',
    home: 'B7',
    meals: { everyDays: 14, lastDaysAgo: 11, outcome: 'eaten' },
    waterDaysAgo: 9,
    moultsDaysAgo: [],
  },
  {
    ...ORNAMENTAL,
    called: 'Quill',
    stage: 'spiderling',
    sizeMm: 36,
    sex: 'unknown',
    home: 'B8',
    meals: { everyDays: 4, lastDaysAgo: 3, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [29, 77],
  },
  {
    ...WHIP,
    called: 'Ladder',
    stage: 'adult',
    sizeMm: 40,
    sex: 'unknown',
    home: 'C1',
    meals: { everyDays: 10, lastDaysAgo: 6, outcome: 'eaten' },
    waterDaysAgo: 2,
    moultsDaysAgo: [88],
  },
  {
    ...FOREST,
    called: 'Bollard',
    stage: 'adult',
    sizeMm: 64,
    sex: 'female',
    home: 'C2',
    meals: { everyDays: 14, lastDaysAgo: 12, outcome: 'eaten' },
    waterDaysAgo: 3,
    moultsDaysAgo: [],
  },
  {
    ...DESERT,
    called: 'Brackish',
    stage: 'adult',
    sizeMm: 60,
    sex: 'unknown',
    home: 'C3',
    meals: { everyDays: 14, lastDaysAgo: 9, outcome: 'eaten' },
    waterDaysAgo: 4,
    moultsDaysAgo: [],
  },
  {
    ...ROCK,
    called: 'Slate',
    stage: 'adult',
    sizeMm: 74,
    sex: 'male',
    home: 'C4',
    meals: { everyDays: 14, lastDaysAgo: 5, outcome: 'eaten' },
    waterDaysAgo: 2,
    moultsDaysAgo: [],
  },
  {
    ...ASSASSIN,
    called: 'The gang',
    stage: 'adult',
    sizeMm: 24,
    headCount: 12,
    sex: 'unknown',
    home: 'C5',
    meals: { everyDays: 7, lastDaysAgo: 6, outcome: 'eaten' },
    waterDaysAgo: 4,
    moultsDaysAgo: [],
  },
  {
    ...BLUE,
    called: 'Indigo',
    stage: 'adult',
    sizeMm: 124,
    sex: 'female',
    home: 'C6',
    meals: { everyDays: 14, lastDaysAgo: 10, outcome: 'eaten' },
    waterDaysAgo: 3,
    moultsDaysAgo: [66],
  },
  {
    ...JUMPER,
    called: 'Button',
    stage: 'adult',
    sizeMm: 14,
    sex: 'female',
    home: 'C7',
    meals: { everyDays: 4, lastDaysAgo: 2, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [75],
  },
  {
    ...GIANT_MANTIS,
    called: 'Rigger',
    stage: 'nymph',
    sizeMm: 60,
    sex: 'female',
    home: 'D1',
    meals: { everyDays: 3, lastDaysAgo: 2, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [21, 49],
  },
  {
    ...GHOST,
    called: 'Husk',
    stage: 'adult',
    sizeMm: 47,
    sex: 'female',
    home: 'D2',
    meals: { everyDays: 3, lastDaysAgo: 2, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [40],
  },
  {
    ...ORCHID,
    called: 'Petal',
    stage: 'nymph',
    sizeMm: 30,
    sex: 'unknown',
    home: 'D3',
    meals: { everyDays: 3, lastDaysAgo: 2, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [13, 36],
  },
  {
    ...STICK,
    called: 'The hedge',
    stage: 'nymph',
    sizeMm: 62,
    headCount: 14,
    sex: 'unknown',
    home: 'D4',
    waterDaysAgo: 1,
    moultsDaysAgo: [],
  },
  {
    ...DEVIL,
    called: 'The crew',
    stage: 'adult',
    sizeMm: 110,
    headCount: 5,
    sex: 'unknown',
    home: 'D5',
    waterDaysAgo: 2,
    moultsDaysAgo: [],
  },
  {
    ...LEAF,
    called: 'Foliage',
    stage: 'nymph',
    sizeMm: 58,
    headCount: 6,
    sex: 'unknown',
    home: 'D6',
    waterDaysAgo: 1,
    moultsDaysAgo: [],
  },
  {
    ...LUNA,
    called: 'The brood',
    stage: 'larva',
    sizeMm: 38,
    headCount: 10,
    sex: 'unknown',
    home: 'D7',
    waterDaysAgo: 1,
    moultsDaysAgo: [],
  },
  {
    ...SWIFT,
    called: 'Swifts',
    stage: 'adult',
    headCount: 520,
    sex: 'unknown',
    home: 'E1',
    waterDaysAgo: 5,
    moultsDaysAgo: [],
  },
  {
    ...LITTLE_SEA,
    called: 'Pebbles',
    stage: 'adult',
    headCount: 60,
    sex: 'unknown',
    home: 'E2',
    waterDaysAgo: 4,
    moultsDaysAgo: [],
  },
  {
    ...NOSY,
    called: 'Noses',
    stage: 'adult',
    headCount: 45,
    sex: 'unknown',
    home: 'E3',
    waterDaysAgo: 3,
    moultsDaysAgo: [],
  },
  {
    ...SPRINGTAIL,
    called: 'Snow',
    stage: 'adult',
    headCount: 3000,
    sex: 'unknown',
    home: 'E4',
    waterDaysAgo: 6,
    moultsDaysAgo: [],
  },
  {
    ...MILLIPEDE,
    called: 'Hawser and Cable',
    stage: 'adult',
    sizeMm: 210,
    headCount: 2,
    sex: 'unknown',
    home: 'E5',
    waterDaysAgo: 3,
    moultsDaysAgo: [],
  },
  {
    ...SNAIL,
    called: 'The slow table',
    stage: 'adult',
    sizeMm: 33,
    headCount: 6,
    sex: 'unknown',
    home: 'E6',
    waterDaysAgo: 1,
    moultsDaysAgo: [],
    signs: [{ sign: 'sealed', daysAgo: 9 }],
  },
  {
    ...CARPENTER,
    called: 'Old Timber',
    stage: 'adult',
    headCount: 50,
    sex: 'unknown',
    home: 'F1',
    waterDaysAgo: 4,
    moultsDaysAgo: [],
  },
  {
    ...RED_ANT,
    called: 'Ember',
    stage: 'adult',
    headCount: 180,
    sex: 'unknown',
    home: 'F2',
    waterDaysAgo: 5,
    moultsDaysAgo: [],
  },
  {
    ...SILKY_ANT,
    called: 'Satin',
    stage: 'adult',
    headCount: 46,
    sex: 'unknown',
    home: 'F3',
    waterDaysAgo: 2,
    moultsDaysAgo: [],
  },
  {
    ...LEAFCUTTER,
    called: 'The kitchen',
    stage: 'adult',
    headCount: 620,
    sex: 'unknown',
    home: 'F4',
    waterDaysAgo: 3,
    moultsDaysAgo: [],
  },
];
