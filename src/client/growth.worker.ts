import { expose } from 'comlink';
import type { MoultFacts } from '@/contract/growth';
import type { Species } from '@/contract/species';
import { forgivingForecast } from '@/core/growth/forecast';
import { moultQuestion } from '@/core/growth/subject';
import { careBook } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';

/** When one resident moults next. */
export interface NextMoult {
  p10: string;
  median: string;
  p90: string;
}

const work = {
  /** The next moult of everybody that moults, by id; 4,000 draws each. */
  nextMoults(
    profiles: readonly CareProfile[],
    species: readonly Species[],
    { asOf, residents, peers }: MoultFacts,
  ): [string, NextMoult][] {
    const care = careBook(profiles, species);
    return residents.flatMap((subject) => {
      const question = moultQuestion(care.of(subject), subject, peers, asOf);
      const { next } = forgivingForecast({ ...question, ahead: 1 });
      return next ? [[subject.id, { p10: next.p10, median: next.median, p90: next.p90 }]] : [];
    });
  },
};
export type GrowthWork = typeof work;

expose(work);
