import { useState } from 'react';

/**
 * Asks once before something that is not taken back or that harms, such as a meal for one that is left alone: the first
 * tap asks, the second means it.
 * @param mustAsk false where there is nothing to ask about
 * @param act what is about to be done; another act is asked about anew
 */
export function useAskedOnce(mustAsk: boolean, act: string) {
  const [asked, setAsked] = useState<string>();
  const isAsked = mustAsk && asked === act;
  return {
    isAsked,
    /** True when it may be done; else it has been asked. */
    mayDo: () => {
      if (!mustAsk || isAsked) return true;
      setAsked(act);
      return false;
    },
  };
}
