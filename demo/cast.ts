import type { ProfileId } from '@/contract/profiles';
import type { MoultSign, Stage } from '@/core/profiles/profile';
import type { Container } from '@/core/housing/container';
import { box, holes, vial } from './boxes';

/** The Ropewalk Warm House, Saltmere: who keeps it, and what stands on its shelves. */
export const KEEPERS = ['Imre Talsk', 'Odalys Fenn', 'Bram Lindqvist-Oro'] as const;

export const SHELVES = [
  { key: 'A', room: 'Boiler Room', name: 'Shelf A' },
  { key: 'BU', room: 'Boiler Room', name: 'Shelf B, upper' },
  { key: 'BL', room: 'Boiler Room', name: 'Shelf B, lower' },
  { key: 'N', room: 'North Store', name: 'Spare tubs' },
] as const;
export type ShelfKey = (typeof SHELVES)[number]['key'];

export interface DemoHome {
  code: string;
  shelf: ShelfKey;
  container: Container;
  substrateDepthMm: number;
}

const LEFT_RIGHT = ['left', 'right'] as const;
const FOUR_SIDES = ['left', 'right', 'front', 'back'] as const;
const home = (code: string, shelf: ShelfKey, container: Container, substrateDepthMm: number): DemoHome => ({
  code,
  shelf,
  container,
  substrateDepthMm,
});

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
  home('N1', 'N', box(170, 130, 100, holes([...LEFT_RIGHT], 3, 3, 80), 'mesh'), 0),
  home('N2', 'N', box(170, 130, 100, holes([...FOUR_SIDES], 4, 3, 80)), 0),
  home('N3', 'N', vial(70, 110, holes([...LEFT_RIGHT], 4, 2, 98)), 0),
  home('N4', 'N', box(200, 200, 300, []), 0),
  home('N5', 'N', box(300, 200, 200, holes([...LEFT_RIGHT], 6, 3, 170)), 0),
  home('N6', 'N', vial(60, 120, []), 0),
];

export interface DemoResident {
  called: string;
  scientificName: string;
  commonName: string;
  profile: ProfileId;
  stage: Stage;
  legSpanMm: number;
  sex: 'unknown' | 'female' | 'male';
  home: string;
  /** Days between meals, days since the last one was offered, and what came of it. */
  meals: { everyDays: number; lastDaysAgo: number; outcome: 'eaten' | 'refused' | 'open' };
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

export const RESIDENTS: DemoResident[] = [
  {
    ...CURLY,
    called: 'Thimble',
    stage: 'spiderling',
    legSpanMm: 14,
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
    legSpanMm: 27,
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
    legSpanMm: 24,
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
    legSpanMm: 45,
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
    legSpanMm: 62,
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
    legSpanMm: 58,
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
    legSpanMm: 64,
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
    legSpanMm: 92,
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
    legSpanMm: 150,
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
    legSpanMm: 118,
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
    legSpanMm: 110,
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
    legSpanMm: 140,
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
    legSpanMm: 84,
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
    legSpanMm: 125,
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
    legSpanMm: 36,
    sex: 'unknown',
    home: 'B8',
    meals: { everyDays: 4, lastDaysAgo: 3, outcome: 'eaten' },
    waterDaysAgo: 1,
    moultsDaysAgo: [29, 77],
  },
];
