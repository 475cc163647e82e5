import { useEffect, useState } from 'react';
import { problemOf } from './house';

/**
 * What the server answers, asked again whenever `key` is another, and by `again`; the answer before stays until the next has come.
 * @param question is made anew at every drawing; its key says whether it is another
 */
export function useCall<Answer>(
  key: unknown,
  question: () => Promise<Answer>,
): { answer: Answer | null; problem: string | undefined; again: () => void } {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [problem, setProblem] = useState<string>();
  const [times, setTimes] = useState(0);
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
  }, [key, times]);
  const again = () => {
    setProblem(undefined);
    setTimes(times + 1);
  };
  return { answer, problem, again };
}
