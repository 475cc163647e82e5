import type { TrainingCase } from '@/contract/handbook';
import type { Home, Resident } from '@/contract/records';
import { feelOf } from '@/core/substrate/wetness';
import type { CaseKind } from '@/core/training/cases';
import { daysWords } from './days';
import { FEEL_WORDS } from './home';
import { lifeWords } from './residents';
import type { LengthWords } from './lengths';

export const CASE_WORDS: Record<CaseKind, string> = {
  still: 'Dead, moulting or resting?',
  water: 'Too dry or too wet?',
  fit: 'Does it fit?',
  company: 'Who may go together?',
};

/** The answers as a helper gives them. */
export const ANSWER_WORDS: Record<CaseKind, Record<string, string>> = {
  still: {
    leave: 'Leave it alone: it moults or rests',
    look: 'Look from outside, touch nothing',
    worry: 'Worry: call who knows it',
    dead: 'It is dead',
  },
  water: { 'damp-now': 'Damp it today', wait: 'Wait: it holds for days yet', 'let-dry': 'Let it dry, give it air' },
  fit: { pass: 'It fits', watch: 'For now, to be watched', fail: 'It does not fit' },
  company: { pass: 'They may', watch: 'Only watched', fail: 'Never' },
};

/** What is to be seen, as a question. */
export function caseQuestion(
  one: TrainingCase,
  resident: Resident,
  home: Home | undefined,
  length: LengthWords,
): string {
  switch (one.kind) {
    case 'still':
      return `It has not been seen to move for ${daysWords(one.daysStill ?? 0)}.${one.seen.length > 0 ? ' You see:' : ' Nothing else is to be seen.'}`;
    case 'water':
      return `You squeeze a handful from the damp end of ${home?.code ?? 'its box'}: ${FEEL_WORDS[feelOf(one.wetness ?? 0)].toLowerCase()}.`;
    case 'fit':
      return `It is ${lifeWords(resident, length)}. Would ${home?.code ?? 'this box'} do for it?`;
    case 'company':
      return 'Could these two share one box?';
  }
}
