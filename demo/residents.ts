import type { MoultSign, Stage } from '@/core/profiles/profile';

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
  /** Days since its soil was damped; left out, some time within what its forecast gives. */
  dampedDaysAgo?: number;
  /** Days before today on which it moulted, the latest first. */
  moultsDaysAgo: number[];
  /** What was noticed, and how many days ago. */
  signs?: { sign: MoultSign; daysAgo: number }[];
}

type Kind = Pick<DemoResident, 'scientificName' | 'commonName' | 'profile'>;
const kind = (scientificName: string, commonName: string, profile: string): Kind => ({
  scientificName,
  commonName,
  profile,
});
const CURLY = kind('Tliltocatl albopilosus', 'Curly-haired tarantula', 'ground-tarantula');
const BLACK = kind('Grammostola pulchra', 'Brazilian black tarantula', 'ground-tarantula');
const PINKTOE = kind('Caribena versicolor', 'Antilles pinktoe', 'tree-tarantula');
const ORNAMENTAL = kind('Poecilotheria regalis', 'Indian ornamental', 'tree-tarantula');

const WHIP = kind('Heterophrynus batesii', 'Amazon whip spider', 'whip-spider');
const FOREST = kind('Heterometrus silenus', 'Asian forest scorpion', 'forest-scorpion');
const DESERT = kind('Hadrurus arizonensis', 'Giant desert hairy scorpion', 'desert-scorpion');
const ROCK = kind('Hadogenes paucidens', 'Flat rock scorpion', 'crevice-scorpion');
const ASSASSIN = kind('Pristhesancus plagipennis', 'Bee killer assassin bug', 'communal-assassin-bug');
const BLUE = kind('Chilobrachys natanicharum', 'Electric blue tarantula', 'burrowing-tarantula');
const JUMPER = kind('Hyllus diardi', 'Heavy jumper', 'jumping-spider');
const GIANT_MANTIS = kind('Hierodula membranacea', 'Giant Asian mantis', 'mantis');
const GHOST = kind('Phyllocrania paradoxa', 'Ghost mantis', 'mantis');
const ORCHID = kind('Hymenopus coronatus', 'Orchid mantis', 'mantis');
const STICK = kind('Carausius morosus', 'Indian stick insect', 'stick-insect');
const DEVIL = kind('Eurycantha calcarata', 'Thorny devil stick insect', 'ground-stick-insect');
const LEAF = kind('Phyllium philippinicum', 'Philippine leaf insect', 'leaf-insect');
const LUNA = kind('Actias luna', 'Luna moth', 'moth-tropical');
const SWIFT = kind('Porcellio laevis', 'Swift isopod', 'isopod-temperate');
const LITTLE_SEA = kind('Cubaris murina', 'Little sea isopod', 'isopod-dwarf-tropical');
const NOSY = kind('Armadillidium nasatum', 'Nosy pill isopod', 'isopod-temperate');
const SPRINGTAIL = kind('Folsomia candida', 'White springtail', 'springtail');
const MILLIPEDE = kind('Archispirostreptus gigas', 'Giant African millipede', 'millipede-tropical');
const SNAIL = kind('Cornu aspersum', 'Garden snail', 'land-snail');
const CARPENTER = kind('Camponotus ligniperda', 'Brown-black carpenter ant', 'ant-large-mediterranean');
const RED_ANT = kind('Myrmica rubra', 'Red ant', 'ant-small-temperate');
const SILKY_ANT = kind('Formica fusca', 'Silky ant', 'ant-small-temperate');
const LEAFCUTTER = kind('Acromyrmex octospinosus', 'Eight-spined leafcutter ant', 'ant-leafcutter');

/** One of the house: what it is, what it is called, how large, where it lives, and when it was last given water. */
const one = (
  kind: Kind,
  called: string,
  stage: Stage,
  sizeMm: number | undefined,
  home: string,
  waterDaysAgo: number,
  more: Partial<Pick<DemoResident, 'headCount' | 'sex' | 'meals' | 'moultsDaysAgo' | 'signs' | 'dampedDaysAgo'>>,
): DemoResident => ({
  ...kind,
  called,
  stage,
  ...(sizeMm !== undefined && { sizeMm }),
  home,
  waterDaysAgo,
  sex: 'unknown',
  moultsDaysAgo: [],
  ...more,
});

/** Who lives in the Ropewalk Warm House, and the stories that their logs tell. */
export const RESIDENTS: DemoResident[] = [
  one(CURLY, 'Thimble', 'spiderling', 14, 'A1', 2, {
    meals: { everyDays: 4, lastDaysAgo: 4, outcome: 'eaten' },
    moultsDaysAgo: [31, 74],
  }),
  one(CURLY, 'Cinder', 'spiderling', 27, 'A2', 5, {
    meals: { everyDays: 4, lastDaysAgo: 2, outcome: 'eaten' },
    moultsDaysAgo: [12, 58, 101],
  }),
  one(BLACK, 'Pip', 'spiderling', 24, 'A3', 4, {
    meals: { everyDays: 4, lastDaysAgo: 3, outcome: 'eaten' },
    moultsDaysAgo: [47, 103],
  }),
  one(PINKTOE, 'Lantern', 'juvenile', 45, 'A4', 7, {
    dampedDaysAgo: 4,
    meals: { everyDays: 7, lastDaysAgo: 3, outcome: 'eaten' },
    moultsDaysAgo: [55, 121],
  }),
  one(PINKTOE, 'Halyard', 'juvenile', 62, 'A5', 3, {
    meals: { everyDays: 7, lastDaysAgo: 5, outcome: 'eaten' },
    moultsDaysAgo: [80],
  }),
  one(BLACK, 'Soot', 'juvenile', 58, 'A6', 6, {
    meals: { everyDays: 7, lastDaysAgo: 16, outcome: 'eaten' },
    moultsDaysAgo: [64, 150],
  }),
  one(CURLY, 'Bracken', 'juvenile', 64, 'A7', 1, {
    sex: 'female',
    meals: { everyDays: 7, lastDaysAgo: 7, outcome: 'eaten' },
    moultsDaysAgo: [39, 118],
  }),
  one(BLACK, 'Ferrous', 'subadult', 92, 'B1', 4, {
    sex: 'male',
    meals: { everyDays: 14, lastDaysAgo: 8, outcome: 'refused' },
    moultsDaysAgo: [112],
  }),
  one(ORNAMENTAL, 'Marquise', 'adult', 150, 'B2', 8, {
    sex: 'female',
    meals: { everyDays: 7, lastDaysAgo: 6, outcome: 'eaten' },
    moultsDaysAgo: [170],
  }),
  one(CURLY, 'Bramble', 'adult', 118, 'B3', 3, {
    sex: 'female',
    meals: { everyDays: 14, lastDaysAgo: 14, outcome: 'eaten' },
    moultsDaysAgo: [93],
  }),
  one(PINKTOE, 'Vesper', 'adult', 110, 'B4', 7, {
    sex: 'female',
    meals: { everyDays: 7, lastDaysAgo: 1, outcome: 'open' },
    moultsDaysAgo: [140],
  }),
  one(BLACK, 'Widow Orme', 'adult', 140, 'B5', 5, {
    sex: 'female',
    meals: { everyDays: 14, lastDaysAgo: 19, outcome: 'refused' },
    signs: [
      { sign: 'dull', daysAgo: 16 },
      { sign: 'dark', daysAgo: 5 },
    ],
  }),
  one(ORNAMENTAL, 'Sexton', 'juvenile', 84, 'B6', 2, {
    meals: { everyDays: 7, lastDaysAgo: 20, outcome: 'refused' },
    moultsDaysAgo: [3, 97],
  }),
  one(CURLY, 'Old Tarry', 'adult', 125, 'B7', 9, {
    sex: 'male',
    meals: { everyDays: 14, lastDaysAgo: 11, outcome: 'eaten' },
  }),
  one(ORNAMENTAL, 'Quill', 'spiderling', 36, 'B8', 1, {
    meals: { everyDays: 4, lastDaysAgo: 3, outcome: 'eaten' },
    moultsDaysAgo: [29, 77],
  }),
  one(WHIP, 'Ladder', 'adult', 40, 'C1', 2, {
    meals: { everyDays: 10, lastDaysAgo: 6, outcome: 'eaten' },
    moultsDaysAgo: [88],
  }),
  one(FOREST, 'Bollard', 'adult', 64, 'C2', 3, {
    sex: 'female',
    dampedDaysAgo: 74,
    meals: { everyDays: 14, lastDaysAgo: 12, outcome: 'eaten' },
  }),
  one(DESERT, 'Brackish', 'adult', 60, 'C3', 4, { meals: { everyDays: 14, lastDaysAgo: 9, outcome: 'eaten' } }),
  one(ROCK, 'Slate', 'adult', 74, 'C4', 2, { sex: 'male', meals: { everyDays: 14, lastDaysAgo: 5, outcome: 'eaten' } }),
  one(ASSASSIN, 'The gang', 'adult', 24, 'C5', 4, {
    headCount: 12,
    meals: { everyDays: 7, lastDaysAgo: 6, outcome: 'eaten' },
  }),
  one(BLUE, 'Indigo', 'adult', 124, 'C6', 3, {
    sex: 'female',
    meals: { everyDays: 14, lastDaysAgo: 10, outcome: 'eaten' },
    moultsDaysAgo: [66],
  }),
  one(JUMPER, 'Button', 'adult', 14, 'C7', 1, {
    sex: 'female',
    meals: { everyDays: 4, lastDaysAgo: 2, outcome: 'eaten' },
    moultsDaysAgo: [75],
  }),
  one(GIANT_MANTIS, 'Rigger', 'nymph', 60, 'D1', 1, {
    sex: 'female',
    meals: { everyDays: 3, lastDaysAgo: 2, outcome: 'eaten' },
    moultsDaysAgo: [21, 49],
  }),
  one(GHOST, 'Husk', 'adult', 47, 'D2', 1, {
    sex: 'female',
    meals: { everyDays: 3, lastDaysAgo: 2, outcome: 'eaten' },
    moultsDaysAgo: [40],
  }),
  one(ORCHID, 'Petal', 'nymph', 30, 'D3', 1, {
    meals: { everyDays: 3, lastDaysAgo: 2, outcome: 'eaten' },
    moultsDaysAgo: [13, 36],
  }),
  one(STICK, 'The hedge', 'nymph', 62, 'D4', 1, { headCount: 14 }),
  one(DEVIL, 'The crew', 'adult', 110, 'D5', 2, { headCount: 5 }),
  one(LEAF, 'Foliage', 'nymph', 58, 'D6', 1, { headCount: 6 }),
  one(LUNA, 'The brood', 'larva', 38, 'D7', 1, { headCount: 10 }),
  one(SWIFT, 'Swifts', 'adult', undefined, 'E1', 5, { headCount: 520, dampedDaysAgo: 17 }),
  one(LITTLE_SEA, 'Pebbles', 'adult', undefined, 'E2', 4, { headCount: 60 }),
  one(NOSY, 'Noses', 'adult', undefined, 'E3', 3, { headCount: 45 }),
  one(SPRINGTAIL, 'Snow', 'adult', undefined, 'E4', 6, { headCount: 3000 }),
  one(MILLIPEDE, 'Hawser and Cable', 'adult', 210, 'E5', 3, { headCount: 2 }),
  one(SNAIL, 'The slow table', 'adult', 33, 'E6', 1, { headCount: 6, signs: [{ sign: 'sealed', daysAgo: 9 }] }),
  one(CARPENTER, 'Old Timber', 'adult', undefined, 'F1', 4, { headCount: 50 }),
  one(RED_ANT, 'Ember', 'adult', undefined, 'F2', 5, { headCount: 180 }),
  one(SILKY_ANT, 'Satin', 'adult', undefined, 'F3', 2, { headCount: 46 }),
  one(LEAFCUTTER, 'The kitchen', 'adult', undefined, 'F4', 3, { headCount: 620 }),
];
