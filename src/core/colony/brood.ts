import { paceAt, type PopulationKind } from './kind';
import { eggsLaid, layingOf } from './laying';

/** The young beside so many grown ones with room for all: as many as are laid while a stage lasts, less those that die. */
function youngBeside(
  kind: PopulationKind,
  adults: number,
  queens: number,
  temperatureC: number,
): Record<string, number> {
  const pace = paceAt(kind, temperatureC);
  const isResting = temperatureC < kind.warmth.restBelowC.value;
  const young: Record<string, number> = {};
  let arriving = isResting ? 0 : eggsLaid(layingOf(kind.laying, queens), adults, pace);
  for (const { id, days, weeklyDeathPct } of kind.young) {
    const weeks = pace > 0 ? days.value / 7 / pace : 0;
    const lives = (1 - weeklyDeathPct.value / 100) ** weeks;
    // On the mean of those that come in and those that go out.
    young[id] = (arriving * weeks * (1 + lives)) / 2;
    arriving *= lives;
  }
  return young;
}

/**
 * How the heads of a colony or a culture that nobody counted by stages are likely to stand. Of ants the workers were
 * counted, and their brood comes to them; of others all were counted, and the young are among them. With little room left
 * little is bred.
 * @param headCount as it was counted, 0 or more
 * @param queens of kinds that have them
 * @param room heads there is room for; null for without end
 */
export function usualStages(
  kind: PopulationKind,
  headCount: number,
  queens: number,
  temperatureC: number,
  room: number | null,
): Record<string, number> {
  const total = (young: Record<string, number>) => Object.values(young).reduce((sum, count) => sum + count, 0);
  const scaled = (young: Record<string, number>, times: number) =>
    Object.fromEntries(Object.entries(young).map(([stage, count]) => [stage, count * times]));
  if (kind.laying.by === 'queen') {
    const young = youngBeside(kind, headCount, queens, temperatureC);
    // The share that is bred follows from the room that workers and brood leave: s = 1 - (workers + s young) / room.
    const share = room === null ? 1 : Math.max(0, (1 - headCount / room) / (1 + total(young) / room));
    return { ...scaled(young, share), [kind.adults]: headCount };
  }
  const share = room === null ? 1 : Math.max(0, 1 - headCount / room);
  const young = scaled(youngBeside(kind, 1, 0, temperatureC), share);
  const adults = headCount / (1 + total(young));
  return { ...scaled(young, adults), [kind.adults]: adults };
}

/** Young beside each grown one in a colony that neither grows nor shrinks: as their time is to its life. */
export function youngPerAdult(kind: PopulationKind): number {
  return kind.young.reduce((sum, stage) => sum + stage.days.value, 0) / kind.adultLifeDays.value;
}
