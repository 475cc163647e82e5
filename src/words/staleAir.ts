import type { Stale } from '@/core/climate/forecast';
import type { Status } from '@/core/housing/fit';

export const STALE_WORDS: Record<Stale, { status: Status; title: string; why: string }> = {
  fresh: { status: 'pass', title: 'Air moves', why: 'Enough exchange for what evaporates.' },
  still: {
    status: 'watch',
    title: 'Still, wet air',
    why: 'Little air is exchanged, and it stays so damp that nothing dries: mould and sour soil begin here.',
  },
  stale: {
    status: 'watch',
    title: 'Stale air',
    why: 'Less exchange of air than this kind wants. Open more, or open wider.',
  },
};

/** Changes of air: "2.6 an hour". */
export const changesWords = (perHour: number) => `${changesNumber(perHour)} an hour`;
export const changesNumber = (perHour: number) => (perHour < 10 ? perHour.toFixed(1) : String(Math.round(perHour)));
