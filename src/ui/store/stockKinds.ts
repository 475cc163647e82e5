import type { StockEntry } from '@/contract/store';
import { STOCK_KIND_WORDS } from '@/words/store';

/** What can happen to something in the store, the commonest first. */
export const STOCK_KIND_CHOICES = (['counted', 'bought', 'harvested', 'died', 'thrown'] as const).map(
  (value): { value: StockEntry['kind']; title: string } => ({ value, title: STOCK_KIND_WORDS[value] }),
);
