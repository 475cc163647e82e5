import { useMemo } from 'react';
import type { ResidentTrouble } from '@/contract/handbook';
import { diagnose, type Diagnosis } from '@/core/trouble/diagnose';
import type { Sign } from '@/core/trouble/table';
import type { SignAnswer } from './SignAnswers';

interface Reading {
  diagnosis: Diagnosis;
  /** Every sign to be looked for: what tells most of this very box first, whatever is answered since. */
  signs: Sign[];
}

/** What the box and the answers of its keeper make likely. */
export function useDiagnosis(
  { table, box }: Pick<ResidentTrouble, 'table' | 'box'>,
  answers: Readonly<Record<string, SignAnswer>>,
): Reading {
  const ofBox = useMemo(() => {
    const [yes, no] = [true, false].map((wanted) =>
      box.filter(({ present }) => present === wanted).map(({ id }) => id),
    );
    return { yes: yes ?? [], no: no ?? [] };
  }, [box]);
  const signs = useMemo(() => {
    const order = diagnose(table, ofBox).next.map(({ sign }) => sign);
    const rank = ({ id }: Sign) => (order.includes(id) ? order.indexOf(id) : order.length);
    return [...table.signs].sort((a, b) => rank(a) - rank(b));
  }, [table, ofBox]);
  const diagnosis = useMemo(() => {
    const told = (wanted: SignAnswer) => Object.keys(answers).filter((id) => answers[id] === wanted);
    return diagnose(table, { yes: [...ofBox.yes, ...told('yes')], no: [...ofBox.no, ...told('no')] });
  }, [table, ofBox, answers]);
  return { diagnosis, signs };
}
