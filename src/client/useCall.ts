import { useEffect, useState } from 'react';
import { problemOf } from './house';

/**
 * What the server answers, asked again whenever `key` is another; the answer before stays until the next has come.
 * @param question is made anew at every drawing; its key says whether it is another
 */
export function useCall<Answer>(
  key: unknown,
  question: () => Promise<Answer>,
): { answer: Answer | null; problem: string | undefined } {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let isCurrent = true;
    question().then(
      (reply) => {
        if (!isCurrent) return;
        setAnswer(() => reply);
        setProblem(undefined);
      },
      (error: unknown) => isCurrent && setProblem(problemOf(error)),
    );
    return () => {
      isCurrent = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return { answer, problem };
}
