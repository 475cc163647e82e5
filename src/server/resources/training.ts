import { randomUUID } from 'node:crypto';
import type { TrainingCase } from '@/contract/handbook';
import { shippedStillness } from '@/contract/shipped';
import { wishesOf } from '@/core/climate/homeAir';
import { type Dice, CASE_ANSWERS, companyCase, dice, fitCase, stillCase, waterCase } from '@/core/training/cases';
import { materialTable } from '../care';
import { questionFor, roomsOf } from '../house/air';
import { houseToday, type HouseToday, type Lodger } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import type { Queries } from '../storage/database';
import { insertTrainingAnswer, trainingTallies } from '../storage/handbook';
import { roomOfShelf } from '../storage/rooms';
import { companyWhy, fitWhy, stillWhy, waterWhy } from '../trainingWords';
import type { Deps } from './deps';

type Names = 'trainingCases' | 'training' | 'addTrainingAnswer';

/** Of each kind so many cases come in one sitting. */
const OF_EACH = 2;
/** So often another resident is looked at for a case before a kind is left out. */
const TRIES = 40;

export function trainingHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  const tallies = async () => ({ tallies: await trainingTallies(database) });
  return {
    training: tallies,

    addTrainingAnswer: async ({ body }) => {
      await insertTrainingAnswer(database, { ...body, id: body.id ?? randomUUID() }, clock.now());
      return tallies();
    },

    trainingCases: async ({ query }) => {
      const house = await houseToday(database, clock.today(), clock.now());
      const chance = dice(query.seed + 1);
      const asWater = await waterAsker(database, house, clock.now());
      const makers: ((chance: Dice) => TrainingCase | null)[] = [
        (each) => askStill(house, each),
        asWater,
        (each) => askFit(house, each),
        (each) => askCompany(house, each),
      ];
      const rounds = Array.from({ length: OF_EACH }, () => makers).flat();
      const cases: TrainingCase[] = [];
      for (const make of rounds) {
        const one = anew(make, chance, cases);
        if (one) cases.push({ ...one, id: `${query.seed}-${cases.length}` });
      }
      return { cases };
    },
  };
}

/** A case about somebody who has had none of this kind yet. */
function anew(
  make: (chance: Dice) => TrainingCase | null,
  chance: Dice,
  before: readonly TrainingCase[],
): TrainingCase | null {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const one = make(chance);
    if (one && !before.some(({ kind, residentId }) => kind === one.kind && residentId === one.residentId)) return one;
  }
  return null;
}

function pick({ lodgers }: HouseToday, { below }: Dice): Lodger | undefined {
  return lodgers.length > 0 ? lodgers[below(lodgers.length)] : undefined;
}

const NOTHING = {
  otherId: null,
  homeId: null,
  daysStill: null,
  seen: [],
  wetness: null,
  basis: 'from memory' as const,
};

function askStill(house: HouseToday, chance: Dice): TrainingCase | null {
  const lodger = pick(house, chance);
  const guide = lodger && shippedStillness.find((each) => each.silhouettes.includes(lodger.today.profile.silhouette));
  if (!lodger || !guide || lodger.resident.form === 'eggs') return null;
  const made = stillCase(guide, lodger.today.outlooks?.at(-1)?.premoultPct, chance);
  const titles = made.seen.map((id) => guide.findings.find((each) => each.id === id)?.title ?? id);
  return {
    ...{ ...NOTHING, id: '', kind: 'still', residentId: lodger.resident.id, daysStill: made.daysStill, seen: titles },
    ...{ answers: [...CASE_ANSWERS.still], right: made.right, why: stillWhy(made, guide), basis: guide.basis },
  };
}

async function waterAsker(queries: Queries, house: HouseToday, now: string) {
  const [rooms, roomByShelf] = [await roomsOf(queries, now), await roomOfShelf(queries)];
  const materials = await materialTable(queries);
  return (chance: Dice): TrainingCase | null => {
    const lodger = pick(house, chance);
    if (!lodger?.today.watering) return null;
    const { resident, home } = lodger;
    const profile = house.care.of(resident);
    const room = rooms.find(({ id }) => id === roomByShelf.get(home.shelfId));
    if (!room) return null;
    const question = questionFor(profile, resident, home, room, materials, 1);
    const made = waterCase(question, wishesOf(profile), house.on, chance);
    if (!made) return null;
    return {
      ...{ ...NOTHING, id: '', kind: 'water', residentId: resident.id, homeId: home.id, wetness: made.wetness },
      ...{ answers: [...CASE_ANSWERS.water], right: made.right, why: waterWhy(made, house.on) },
      basis: profile.climate.dampWetnessMin.basis,
    };
  };
}

function askFit(house: HouseToday, chance: Dice): TrainingCase | null {
  const lodger = pick(house, chance);
  const home = house.homes.length > 0 ? house.homes[chance.below(house.homes.length)] : undefined;
  if (!lodger || !home || lodger.resident.form === 'eggs') return null;
  if ((home.nest === undefined) !== (lodger.home.nest === undefined)) return null;
  const made = fitCase(house.care.of(lodger.resident), lodger.today, home);
  if (made.answer.checks.length === 0) return null;
  return {
    ...{ ...NOTHING, id: '', kind: 'fit', residentId: lodger.resident.id, homeId: home.id },
    ...{ answers: [...CASE_ANSWERS.fit], right: made.right, why: fitWhy(made) },
    basis: made.answer.checks.find(({ status }) => status === made.right)?.grounds.basis ?? 'common practice',
  };
}

function askCompany(house: HouseToday, chance: Dice): TrainingCase | null {
  const [one, other] = [pick(house, chance), pick(house, chance)];
  if (!one || !other || one.resident.id === other.resident.id) return null;
  const lodgerOf = ({ resident }: Lodger) => ({
    ...{ label: resident.called ?? resident.scientificName, scientificName: resident.scientificName },
    ...{ profile: house.care.of(resident), headCount: resident.headCount },
  });
  const made = companyCase([lodgerOf(one), lodgerOf(other)]);
  return {
    ...{ ...NOTHING, id: '', kind: 'company', residentId: one.resident.id, otherId: other.resident.id },
    ...{ answers: [...CASE_ANSWERS.company], right: made.right, why: companyWhy(made) },
  };
}
