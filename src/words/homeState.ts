import type { HomeGround, StateOfHome } from '@/core/house/homeState';
import type { Status } from '@/core/housing/fit';
import { changesWords, STALE_WORDS } from './staleAir';
import { COMPANY_TITLES } from './company';
import { dayWords } from './days';
import { alarmWords } from './jobs';
import type { TemperatureWords } from './temperature';

/** A home as it stands, in a word. */
export const HOME_WORD: Record<Status, string> = { pass: 'In order', watch: 'Watch', fail: 'Put right' };

/** What speaks against a home: "Stale air, 0.2 an hour". */
export function groundWords(ground: HomeGround, today: string, temperature: TemperatureWords): string {
  switch (ground.about) {
    case 'fit':
      return ground.title;
    case 'unreadable':
      return 'Its size is not known';
    case 'company':
      return COMPANY_TITLES[ground.rule];
    case 'alarm':
      return alarmWords(ground.alarm, temperature);
    case 'air':
      return `${STALE_WORDS[ground.staleAir].title}, exchanged ${changesWords(ground.airChangesPerHour)}`;
    case 'water':
      if (ground.isDryAir) return 'Too dry by its probe: damp it today';
      return `Damp it: due ${dayWords(ground.dueOn ?? today, today)}`;
    case 'full':
      return ground.fullPct > 100 ? 'More than full' : `${Math.round(ground.fullPct)} % full`;
  }
}

/** The worst of what speaks against a home, in words; null where nothing does. */
export function worstWords(state: StateOfHome, today: string, temperature: TemperatureWords): string | null {
  const worst = state.grounds.filter(({ status }) => status === state.verdict);
  return worst.length === 0
    ? null
    : [...new Set(worst.map((each) => groundWords(each, today, temperature)))].join('; ');
}
