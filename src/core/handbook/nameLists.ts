import type { KnownName } from '@/core/profiles/knownNames';
import type { Named } from './search';
import type { Synonym } from './synonyms';

/** Everything by every name, as the search asks for it; of two of one name the first counts. */
export function namedOf(known: readonly KnownName[]): Named[] {
  const first = new Map([...known].reverse().map((each) => [each.name, each]));
  return known
    .filter((each) => first.get(each.name) === each)
    .map(({ name, commonName, synonyms = [] }) => ({ id: name, names: [name, commonName ?? '', ...synonyms] }));
}

/** Every old name with the one in use. */
export const synonymsOf = (known: readonly KnownName[]): Synonym[] =>
  known.flatMap(({ name, synonyms = [] }) => synonyms.map((each) => ({ name: each, nowNamed: name })));
