import type { CompanyCheck, UnsharedClimate } from '@/core/housing/company';
import { listWords, pct } from './count';

/** What speaks against those who share a box, in a line. */
export const COMPANY_TITLES: Record<CompanyCheck['rule'], string> = {
  alone: 'Lives alone',
  eaten: 'One eats the other',
  'other-colony': 'Two colonies fight',
  'young-look-alike': 'The young cannot be told apart',
  'different-damp': 'They need different dampness',
  'different-dry': 'One needs dry ground, the other damp',
  'different-climate': 'They need different climates',
};

const CLIMATE_WORDS: Record<UnsharedClimate, string> = { temperatureC: 'temperature', humidityPct: 'humidity' };

/** Why it does. */
export function companyReason(check: CompanyCheck): string {
  switch (check.rule) {
    case 'alone':
      return `Keep ${check.species} one to a box: together they eat each other.`;
    case 'eaten':
      return 'A hunter takes what is smaller. What is larger takes the hunter when it moults.';
    case 'other-colony':
      return `Colonies of ${check.species} kill each other: give each its own nest.`;
    case 'young-look-alike':
      return 'The young of these species look alike. Kept together, nobody can say later which is which, or pass them on under a name.';
    case 'different-damp':
      return `The damp end of one is kept at ${pct(100 * check.wetness[0])}, of the other at ${pct(100 * check.wetness[1])} of all the water the soil can hold.`;
    case 'different-dry':
      return `The dry end of one is kept at ${pct(100 * check.wetness[0])}, of the other at ${pct(100 * check.wetness[1])}: no ground is right for both.`;
    case 'different-climate':
      return `No ${listWords(check.unshared.map((each) => CLIMATE_WORDS[each]))} suits both.`;
  }
}
