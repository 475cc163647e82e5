import type { PopulationKind } from '@/core/colony/kind';
import type { FeederKind } from './food';

/** Warmth that feeders are bred at, and their limits. C, from memory */
const WARMTH = { referenceC: 28, baseC: 14, optimumC: 33 };
/** Of rates between cultures: standard deviation of their logarithm, as of other cultures. From memory */
const SPREAD = 0.3;

const remembered = (value: number) => ({ value, basis: 'from memory' as const });

/** A kind of feeder as a population that is followed by its sizes: roaches, crickets and the others. */
export function feederPopulation({ id, classes, culture }: FeederKind): PopulationKind {
  const grown = classes.at(-1);
  const { femaleShare, eggsPerFemalePerWeek, hatchSharePct } = culture;
  return {
    profiles: [id],
    adults: 'adult',
    young: classes.slice(0, -1).map((size) => ({
      id: size.id,
      days: remembered(size.daysInClass),
      weeklyDeathPct: remembered(size.weeklyLossPct),
    })),
    adultLifeDays: remembered(grown ? lifeDays(grown) : 1),
    laying: {
      by: 'female',
      perWeek: { ...eggsPerFemalePerWeek, value: eggsPerFemalePerWeek.value * (hatchSharePct.value / 100) },
      femaleShare,
    },
    warmth: {
      referenceC: remembered(WARMTH.referenceC),
      baseC: remembered(WARMTH.baseC),
      optimumC: remembered(WARMTH.optimumC),
      restBelowC: remembered(WARMTH.baseC),
    },
    spread: remembered(SPREAD),
    basis: 'from memory',
  };
}

/** Of age and of all else together: the mean life of the grown ones. */
const lifeDays = ({ daysInClass, weeklyLossPct }: FeederKind['classes'][number]) =>
  1 / (1 / daysInClass - Math.log(1 - weeklyLossPct / 100) / 7);
