import type { Stop } from '@/contract/round';
import { countWords, listWords } from './count';
import { itemName, kitchenWords, type Names } from './food';

/** What is cut once for several boxes of a part of the walk; null where no two get of the same. */
export function cutAtOnce(stops: readonly Stop[], names: Names): string | null {
  const cut = new Map<string, { massG: number; boxes: number }>();
  for (const job of stops.flatMap(({ jobs }) => jobs)) {
    if (job.kind !== 'feed' || job.doneBy !== undefined || job.skipped) continue;
    for (const { food, massG, count, volumeMl } of job.meal?.dishes ?? []) {
      if (massG === undefined || count !== undefined || volumeMl !== undefined) continue;
      const before = cut.get(food) ?? { massG: 0, boxes: 0 };
      cut.set(food, { massG: before.massG + massG, boxes: before.boxes + 1 });
    }
  }
  const lines = [...cut].flatMap(([id, { massG, boxes }]) => {
    const food = names.foods.find((each) => each.id === id);
    return boxes > 1
      ? [`${kitchenWords(food, itemName(names, id), massG)} for ${countWords(boxes, 'box', 'boxes')}`]
      : [];
  });
  return lines.length === 0 ? null : `Cut at once: ${listWords(lines)}.`;
}
