import { demoCases } from '../../../demo/cases';
import { shippedKnowledge } from '@/contract/shipped';
import type { SensitivityReply } from '@/contract/ground';
import { usualCases } from '@/core/ground/cases';
import { movableNumber } from '@/core/ground/numbers';
import { Weighing } from '@/core/ground/sensitivity';

/** So many are asked about one number: what hangs on soil hangs on everybody. Chosen here: a second's work */
const MOST_ASKED = 40;
/** Nobody reads more. */
const MOST_TOLD = 40;

/** Made when first asked for, and kept as long as the thread lives. */
let weighing: Weighing | undefined;

/** What hangs on a number that ships. @throws Refusal at `number` for one that there is not, and for whole counts */
export function sensitivityOf(id: string): SensitivityReply {
  const number = movableNumber(shippedKnowledge, id);
  weighing ??= new Weighing(shippedKnowledge, [...usualCases(shippedKnowledge), ...demoCases()]);
  const { answers, ...told } = weighing.of(number, MOST_ASKED);
  return { number, ...told, answers: answers.slice(0, MOST_TOLD) };
}
