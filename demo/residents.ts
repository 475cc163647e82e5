import type { Form, LeavingCause, MoultSign, SexEvidence, Stage } from '@/core/profiles/profile';

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
  form?: Form;
  /** Days before today on which it was taken in; the start of the log if left out. */
  takenInDaysAgo?: number;
  bornDaysAgo?: number;
  /** What its batch was called where it came from; its parents and what it came out of by what they are called here. */
  batch?: string;
  mother?: string;
  outOf?: string;
  /** The instar it is in now. */
  instar?: number;
  sexedBy?: SexEvidence;
  massG?: number;
  notes?: { daysAgo: number; note: string }[];
  /** Of a group: how many came, who moulted to which instar, and who died. */
  heads?: GroupStory;
  gone?: { daysAgo: number; by: 'died' | 'passed-on'; cause?: LeavingCause; to?: string };
}

interface GroupStory {
  came: number;
  steps: { daysAgo: number; instar: number; count: number }[];
  deaths: { daysAgo: number; count: number; instar?: number; cause?: LeavingCause }[];
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
  more: Partial<DemoResident>,
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
    moultsDaysAgo: [31, 74, 112],
    batch: 'Curly 24/7',
    instar: 6,
  }),
  one(CURLY, 'Cinder', 'spiderling', 27, 'A2', 5, {
    meals: { everyDays: 4, lastDaysAgo: 2, outcome: 'eaten' },
    moultsDaysAgo: [12, 58, 101, 141],
    batch: 'Curly 24/7',
    instar: 8,
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
    moultsDaysAgo: [64, 150, 229, 301],
    takenInDaysAgo: 420,
    batch: 'Pulchra 23/2',
  }),
  one(CURLY, 'Bracken', 'juvenile', 64, 'A7', 1, {
    sex: 'female',
    sexedBy: 'shed-skin',
    meals: { everyDays: 7, lastDaysAgo: 7, outcome: 'eaten' },
    moultsDaysAgo: [39, 118, 207, 288],
    takenInDaysAgo: 400,
    mother: 'Bramble',
  }),
  one(BLACK, 'Ferrous', 'subadult', 92, 'B1', 4, {
    sex: 'male',
    meals: { everyDays: 14, lastDaysAgo: 8, outcome: 'refused' },
    moultsDaysAgo: [112],
  }),
  one(ORNAMENTAL, 'Marquise', 'adult', 150, 'B2', 8, {
    sex: 'female',
    meals: { everyDays: 7, lastDaysAgo: 6, outcome: 'eaten' },
    moultsDaysAgo: [170, 505],
    takenInDaysAgo: 700,
  }),
  one(CURLY, 'Bramble', 'adult', 118, 'B3', 3, {
    sex: 'female',
    sexedBy: 'shed-skin',
    meals: { everyDays: 14, lastDaysAgo: 14, outcome: 'eaten' },
    moultsDaysAgo: [93, 452],
    takenInDaysAgo: 730,
    massG: 17.4,
    notes: [{ daysAgo: 60, note: 'Dug a second way out behind the bark; left it.' }],
  }),
  one(PINKTOE, 'Vesper', 'adult', 110, 'B4', 7, {
    sex: 'female',
    meals: { everyDays: 7, lastDaysAgo: 1, outcome: 'open' },
    moultsDaysAgo: [140],
  }),
  one(BLACK, 'Widow Orme', 'adult', 140, 'B5', 5, {
    sex: 'female',
    meals: { everyDays: 14, lastDaysAgo: 19, outcome: 'refused' },
    moultsDaysAgo: [371],
    takenInDaysAgo: 730,
    sexedBy: 'shed-skin',
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
    moultsDaysAgo: [21, 39, 55],
    instar: 6,
    sexedBy: 'abdomen',
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
  one(STICK, 'The hedge', 'nymph', 62, 'D4', 1, {
    headCount: 15,
    takenInDaysAgo: 96,
    bornDaysAgo: 96,
    mother: 'The old hedge',
    heads: {
      came: 22,
      steps: [
        { daysAgo: 77, instar: 2, count: 16 },
        { daysAgo: 74, instar: 2, count: 19 },
        { daysAgo: 55, instar: 3, count: 12 },
        { daysAgo: 51, instar: 3, count: 17 },
        { daysAgo: 31, instar: 4, count: 9 },
        { daysAgo: 26, instar: 4, count: 15 },
        { daysAgo: 3, instar: 5, count: 6 },
      ],
      deaths: [
        { daysAgo: 92, count: 2, instar: 1, cause: 'dry' },
        { daysAgo: 78, count: 1, instar: 1, cause: 'moult' },
        { daysAgo: 71, count: 1, instar: 1, cause: 'unknown' },
        { daysAgo: 54, count: 2, instar: 2, cause: 'moult' },
        { daysAgo: 28, count: 1, instar: 3, cause: 'moult' },
      ],
    },
  }),
  one(DEVIL, 'The crew', 'adult', 110, 'D5', 2, { headCount: 5 }),
  one(LEAF, 'Foliage', 'nymph', 58, 'D6', 1, {
    headCount: 6,
    takenInDaysAgo: 84,
    heads: {
      came: 9,
      steps: [
        { daysAgo: 58, instar: 2, count: 8 },
        { daysAgo: 30, instar: 3, count: 6 },
      ],
      deaths: [
        { daysAgo: 80, count: 1, instar: 1 },
        { daysAgo: 59, count: 1, instar: 1, cause: 'moult' },
        { daysAgo: 31, count: 1, instar: 2, cause: 'moult' },
      ],
    },
  }),
  one(LUNA, 'The brood', 'larva', 38, 'D7', 1, { headCount: 10 }),
  one(SWIFT, 'Swifts', 'adult', undefined, 'E1', 5, { headCount: 90, dampedDaysAgo: 17 }),
  one(SWIFT, 'Swifts, second tub', 'adult', undefined, 'E7', 5, {
    headCount: 12,
    outOf: 'Swifts',
    takenInDaysAgo: 41,
  }),
  one(LITTLE_SEA, 'Pebbles', 'adult', undefined, 'E2', 4, { headCount: 110 }),
  one(NOSY, 'Noses', 'adult', undefined, 'E3', 3, { headCount: 6 }),
  one(SPRINGTAIL, 'Snow', 'adult', undefined, 'E4', 6, { headCount: 3000 }),
  one(MILLIPEDE, 'Hawser and Cable', 'adult', 210, 'E5', 3, { headCount: 2 }),
  one(SNAIL, 'The slow table', 'adult', 33, 'E6', 1, { headCount: 6, signs: [{ sign: 'sealed', daysAgo: 9 }] }),
  one(CARPENTER, 'Old Timber', 'adult', undefined, 'F1', 4, { headCount: 24 }),
  one(RED_ANT, 'Ember', 'adult', undefined, 'F2', 5, { headCount: 170 }),
  one(SILKY_ANT, 'Satin', 'adult', undefined, 'F3', 2, { headCount: 42 }),
  one(LEAFCUTTER, 'The kitchen', 'adult', undefined, 'F4', 3, { headCount: 410 }),
  one(SILKY_ANT, 'Tar', 'adult', undefined, 'F5', 2, { takenInDaysAgo: 30, sex: 'female' }),
  one(STICK, 'Eggs of the old hedge', 'egg', undefined, 'D10', 3, {
    headCount: 140,
    mother: 'The old hedge',
    takenInDaysAgo: 60,
  }),
  one(LUNA, 'Cocoons, female', 'pupa', 30, 'D11', 2, { headCount: 2, sex: 'female', takenInDaysAgo: 15 }),
  one(LUNA, 'Cocoons, male', 'pupa', 28, 'D11', 2, { headCount: 3, sex: 'male', takenInDaysAgo: 27 }),
  one(STICK, 'The old hedge', 'adult', 82, 'D9', 1, {
    headCount: 12,
    sex: 'female',
    takenInDaysAgo: 430,
    bornDaysAgo: 430,
    heads: {
      came: 30,
      steps: [
        { daysAgo: 410, instar: 2, count: 24 },
        { daysAgo: 388, instar: 3, count: 20 },
        { daysAgo: 362, instar: 4, count: 18 },
        { daysAgo: 336, instar: 5, count: 17 },
        { daysAgo: 306, instar: 6, count: 16 },
      ],
      deaths: [
        { daysAgo: 425, count: 3, instar: 1, cause: 'dry' },
        { daysAgo: 412, count: 2, instar: 1 },
        { daysAgo: 389, count: 4, instar: 2, cause: 'moult' },
        { daysAgo: 363, count: 2, instar: 3 },
        { daysAgo: 337, count: 2, instar: 4, cause: 'moult' },
        { daysAgo: 240, count: 1, instar: 6 },
        { daysAgo: 130, count: 2, instar: 6, cause: 'age' },
        { daysAgo: 80, count: 2, instar: 6, cause: 'age' },
      ],
    },
    gone: { daysAgo: 24, by: 'died', cause: 'age' },
  }),
  one(DEVIL, 'Eggs of the crew', 'egg', undefined, 'D8', 3, {
    headCount: 38,
    mother: 'The crew',
    takenInDaysAgo: 84,
    notes: [{ daysAgo: 84, note: 'Dug from the soil of D5, laid on damp sand.' }],
  }),
  one(CURLY, 'Wick', 'adult', 112, 'N5', 9, {
    sex: 'male',
    sexedBy: 'pedipalps',
    takenInDaysAgo: 730,
    moultsDaysAgo: [310, 498],
    mother: 'Bramble',
    gone: { daysAgo: 40, by: 'died', cause: 'age' },
  }),
  one(BLACK, 'Spindle', 'juvenile', 48, 'N2', 9, {
    takenInDaysAgo: 420,
    moultsDaysAgo: [88, 171, 259, 330],
    batch: 'Pulchra 23/2',
    gone: { daysAgo: 20, by: 'passed-on', to: 'a friend of the house' },
  }),
];
