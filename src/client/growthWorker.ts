import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { call } from './api';
import type { GrowthWork, NextMoult } from './growth.worker';
import { problemOf, useHouse } from './house';
import { useLog } from './log';

let worker: Remote<GrowthWork> | undefined;

/** The next moults of the whole house, worked out beside the page; null until they are, and while nobody asks. */
export function useNextMoults(isAsked: boolean): Map<string, NextMoult> | null {
  const { care, species, round } = useHouse();
  const [moults, setMoults] = useState<Map<string, NextMoult> | null>(null);
  useEffect(() => {
    if (!isAsked) return undefined;
    let isCurrent = true;
    worker ??= wrap<GrowthWork>(new Worker(new URL('./growth.worker.ts', window.location.href)));
    const remote = worker;
    void call('moultFacts', {})
      .then((facts) => remote.nextMoults(care.profiles, species, facts))
      .then((all) => isCurrent && setMoults(new Map(all)))
      .catch((error: unknown) => useLog.getState().show({ text: problemOf(error), isProblem: true }));
    return () => {
      isCurrent = false;
    };
    // The round changes with every entry, and so may every forecast.
  }, [isAsked, care, species, round]);
  return moults;
}
