import { lazy, Suspense, useState, type ReactNode } from 'react';
import type { Question } from './Confirm';

const Confirm = lazy(() => import('./Confirm'));

/** A question before an act that cannot be taken back, and the dialog that asks it: to be placed anywhere on the page. */
export function useConfirm(): { ask: (question: Question) => void; dialog: ReactNode } {
  const [question, ask] = useState<Question>();
  const dialog = question ? (
    <Suspense>
      <Confirm question={question} onClose={() => ask(undefined)} />
    </Suspense>
  ) : null;
  return { ask, dialog };
}
