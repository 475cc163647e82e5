import { planView, type PlanView } from '@/core/housing/planView';
import type { HomeState } from '@/core/housing/quantities';
import { tellsSize } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import { subjectOf, type Measured } from './fitting';

/** The home from above. */
export function planOf(care: CareBook, home: HomeState, animal: Measured | undefined): PlanView {
  return planView(home, animal && tellsSize(care.of(animal), animal) ? subjectOf(care, animal) : null);
}
