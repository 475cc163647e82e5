import { expose } from 'comlink';
import type { MoultFacts } from '@/contract/growth';
import type { Resident } from '@/contract/records';
import type { Species } from '@/contract/species';
import { forgivingForecast, type SeenMoult } from '@/core/growth/forecast';
import { areSiblings, OTHERS_ENOUGH } from '@/core/growth/kin';
import { careBook } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';

/** When one resident moults next; null for those that moult no more. */
export interface NextMoultOf {
  residentId: string;
  next: { p10: string; median: string; p90: string } | null;
  premoultPct: number;
}

const work = {
  /** The next moult of everybody, 4,000 draws each; siblings and others of its species tell of its pace. */
  nextMoults(
    profiles: readonly CareProfile[],
    species: readonly Species[],
    residents: Resident[],
    facts: MoultFacts,
  ): NextMoultOf[] {
    const care = careBook(profiles, species);
    const byId = new Map(residents.map((resident) => [resident.id, resident]));
    const ofSpecies = new Map<string, { kin: Resident; moults: SeenMoult[] }[]>();
    for (const { residentId, moults } of facts.residents) {
      const kin = byId.get(residentId);
      if (!kin) continue;
      const known = ofSpecies.get(kin.scientificName) ?? [];
      known.push({ kin, moults });
      ofSpecies.set(kin.scientificName, known);
    }
    return facts.residents.flatMap(({ residentId, temperatureC, moults, signs }) => {
      const resident = byId.get(residentId);
      if (!resident) return [];
      const profile = care.of(resident);
      const others = (ofSpecies.get(resident.scientificName) ?? []).filter(({ kin }) => kin.id !== residentId);
      const of = (isSibling: boolean) =>
        others.filter(({ kin }) => areSiblings(kin, resident) === isSibling).map((each) => each.moults);
      const question = {
        profile,
        stage: resident.stage,
        sizeMm: resident[profile.measure.takes],
        signs,
        temperatureC,
        asOf: facts.asOf,
        siblings: of(true),
        others: of(false).slice(0, OTHERS_ENOUGH),
        ahead: 1,
      };
      const answer = forgivingForecast({ ...question, moults });
      const { next } = answer;
      return [
        {
          residentId,
          next: next && { p10: next.p10, median: next.median, p90: next.p90 },
          premoultPct: answer.premoultPct,
        },
      ];
    });
  },
};
export type GrowthWork = typeof work;

expose(work);
