import type { Entry } from '@/contract/records';
import { feelOf } from '@/core/substrate/wetness';
import { FEEL_WORDS } from './home';
import { signWords, waterWords } from './jobs';
import type { LengthWords } from './useLength';

const lengthOf = (entry: Entry, name: string) => {
  const value = entry.data[name];
  return typeof value === 'number' ? value : undefined;
};

/** What was measured and counted: ", span 118 mm", ", 12 of them". */
function sizeOf(entry: Entry, length: LengthWords): string {
  const words = [
    ...MEASURES.flatMap(({ name, word }) => {
      const mm = lengthOf(entry, name);
      return mm === undefined ? [] : [`${word} ${length.long(mm)}`];
    }),
    ...(typeof entry.data.headCount === 'number' ? [`${entry.data.headCount} of them`] : []),
  ];
  return words.map((word) => `, ${word}`).join('');
}

const MEASURES = [
  { name: 'legSpanMm', word: 'span' },
  { name: 'bodyLengthMm', word: 'length' },
  { name: 'carapaceWidthMm', word: 'carapace' },
];

/** One line of history. */
export function entryWords(entry: Entry, length: LengthWords): string {
  const size = sizeOf(entry, length);
  switch (entry.kind) {
    case 'taken-in':
      return `Taken in as ${entry.data.stage}${size}`;
    case 'offered': {
      const prey = lengthOf(entry, 'preyLengthMm');
      return `Offered ${entry.data.preyCount ?? 'prey'}${prey === undefined ? '' : ` of ${length.long(prey)}`}`;
    }
    case 'eaten':
      return 'Eaten';
    case 'refused':
      return 'Not taken; prey taken out';
    case 'watered':
      return 'Dish filled';
    case 'damped':
      return `Soil damped${typeof entry.data.waterMl === 'number' ? `, ${waterWords(entry.data.waterMl)}` : ''}`;
    case 'misted':
      return 'Misted';
    case 'felt':
      return `Soil felt: ${FEEL_WORDS[feelOf(Number(entry.data.wetness))]}`;
    case 'looked':
      return 'Looked at';
    case 'sign':
      return `Noticed: ${signWords(String(entry.data.sign))}`;
    case 'moulted':
      return `Moulted${size}`;
    case 'measured':
      return `Measured${size}`;
    case 'moved':
      return 'Moved';
    case 'soil-set':
      return `Soil set to ${length.long(lengthOf(entry, 'substrateDepthMm') ?? 0)}`;
  }
}
