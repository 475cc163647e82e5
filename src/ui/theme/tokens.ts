/** Every colour, size and distance of the interface. Styles use these names and no numbers of their own. */

export interface Palette {
  /** The ground of the page, and one step lighter for what lies on it. */
  ground: string;
  raised: string;
  /** Stripes of what is to be left alone. */
  resting: string;
  ink: string;
  inkSoft: string;
  line: string;
  bar: string;
  barInk: string;
  barInkSoft: string;
  /** Behind what is chosen of several, with `barInk` on it. */
  chosen: string;
  /** Done, passes. */
  good: string;
  onGood: string;
  accent: string;
  /** Round what has the focus of the keyboard. */
  focus: string;
  /** Water. */
  dew: string;
  /** Needs you, fails. */
  clay: string;
  onClay: string;
  /** To be watched. */
  amber: string;
  /** The drawing: open air, the box, soil from damp to dry, litter, bark, the animal. */
  air: string;
  wall: string;
  soilDamp: string;
  soilDry: string;
  onSoil: string;
  litter: string;
  bark: string;
  animal: string;
  animalLight: string;
}

export const DAY: Palette = {
  ground: '#F6F2E9',
  raised: '#FFFCF5',
  resting: '#ECE4D3',
  ink: '#33261E',
  inkSoft: '#665648',
  line: '#DBD0BA',
  bar: '#33261E',
  barInk: '#FFFCF5',
  barInkSoft: '#CBBFAF',
  chosen: '#33261E',
  good: '#2F5D3A',
  onGood: '#FFFCF5',
  accent: '#6E9A4F',
  focus: '#3F7F97',
  dew: '#3F7F97',
  clay: '#A34620',
  onClay: '#FFFCF5',
  amber: '#8A5A00',
  air: '#FFFCF5',
  wall: '#33261E',
  soilDamp: '#3A3330',
  soilDry: '#8A6646',
  onSoil: '#F6F2E9',
  litter: '#6E9A4F',
  bark: '#A98C63',
  animal: '#1F1714',
  animalLight: '#5A3A28',
};

/** Black ground, red ink, nothing white or blue: what nocturnal animals hardly see. */
export const NIGHT: Palette = {
  ground: '#000000',
  raised: '#120302',
  resting: '#1D0603',
  ink: '#F05A38',
  inkSoft: '#D64A2C',
  line: '#5A1A0E',
  bar: '#160302',
  barInk: '#F05A38',
  barInkSoft: '#DB4E2F',
  chosen: '#46120A',
  good: '#D64A2C',
  onGood: '#140200',
  accent: '#E0502F',
  focus: '#FF6A45',
  dew: '#9E3018',
  clay: '#FF6A45',
  onClay: '#140200',
  amber: '#E8552F',
  air: '#000000',
  wall: '#C9442A',
  soilDamp: '#2A0A05',
  soilDry: '#481308',
  onSoil: '#F05A38',
  litter: '#8C2A15',
  bark: '#A63C22',
  animal: '#F05A38',
  animalLight: '#B53C22',
};

/** Distances in px. */
export const space = { hair: 2, xs: 4, s: 8, m: 12, l: 18, xl: 28, xxl: 44 } as const;

/** Type sizes in px. */
export const type = { small: 13, body: 15, strong: 16, name: 19, largeName: 26, title: 28 } as const;

export const fonts = {
  text: 'Atkinson',
  bold: 'AtkinsonBold',
  name: 'AlegreyaItalic',
  title: 'AlegreyaBold',
} as const;

/** Nothing to be tapped is smaller than this. px */
export const target = 44;
export const circle = 52;
export const radius = { s: 4, m: 8 } as const;
export const stroke = { thin: 1, line: 2, mark: 3 } as const;

/** Layout: from `wide` there is a rail and two panes. px */
export const wide = 900;
export const measure = { column: 560, rail: 112, list: 420 } as const;
