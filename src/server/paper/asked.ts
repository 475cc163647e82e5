import type { Names } from '@/words/food';
import type { LengthWords } from '@/words/lengths';
import type { TemperatureWords } from '@/words/temperature';
import type { Paper } from './parts';

/** What a sheet is asked for with: the units and the paper of whoever prints it, and the shelves it is about. */
export interface PaperAsked {
  length: LengthWords;
  temperature: TemperatureWords;
  paper: Paper;
  shelves: readonly { id: string; name: string; room: string }[];
  names: Names;
}
