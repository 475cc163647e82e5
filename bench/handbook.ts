import {
  shippedBoxSigns,
  shippedCauses,
  shippedEggs,
  shippedMoths,
  shippedPopulations,
  shippedProfiles,
  shippedRests,
  shippedSpecies,
  shippedTroubles,
} from '@/contract/shipped';
import { careCard } from '@/core/handbook/card';
import { nameIndex } from '@/core/handbook/search';
import { careBook } from '@/core/profiles/careBook';
import { diagnose } from '@/core/trouble/diagnose';
import { troubleTable } from '@/core/trouble/table';
import { median, row } from './measure';

const NAMES = 500;
/** What is typed, key by key, with a slip. */
const TYPED = 'Grammostla pulcra';

/** The search of 500 names at every key, a card, a diagnosis. */
export function benchHandbook(): void {
  const real = shippedSpecies.flatMap(({ name, commonName, synonyms = [] }) => [
    { id: name, names: [name, commonName, ...synonyms] },
  ]);
  const list = Array.from({ length: NAMES }, (_, index) => {
    const one = real[index % real.length];
    const round = Math.floor(index / real.length);
    return {
      id: `${index}`,
      names: (one?.names ?? []).map((name) => (round === 0 ? name : `${name} ${'abcdefgh'[round]}`)),
    };
  });
  const index = nameIndex(list);
  const slowest = Math.max(
    ...Array.from({ length: TYPED.length }, (_, at) => median(() => index.search(TYPED.slice(0, at + 1), 60))),
  );
  const plain = median(() =>
    list.filter(({ names }) => names.some((name) => name.toLowerCase().includes('grammostola'))),
  );
  row(`Search of ${NAMES} names, the slowest key of “${TYPED}”`, slowest, '(limit 30 ms)');
  row('  baseline: the letters looked for as they are, no slips borne', plain, '');
  const care = careBook(shippedProfiles, shippedSpecies);
  const sources = {
    rests: [...shippedRests],
    eggs: [...shippedEggs],
    moths: [...shippedMoths],
    populations: [...shippedPopulations],
  };
  const all = median(() =>
    shippedSpecies.map(({ profile, name }) => careCard(care.of({ profile, scientificName: name }), sources, name)),
  );
  row(`Care cards of all ${shippedSpecies.length} species`, all, '(one opens under 200 ms)');
  const [kind] = shippedTroubles;
  if (!kind) return;
  const table = troubleTable(kind, shippedCauses, shippedBoxSigns);
  const signs = table.signs.slice(0, 6).map(({ id }) => id);
  row(
    'A diagnosis by 6 signs, with what to look for next',
    median(() => diagnose(table, { yes: signs.slice(0, 3), no: signs.slice(3) })),
    '',
  );
}
