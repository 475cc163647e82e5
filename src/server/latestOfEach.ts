import { asking } from './asking';

/**
 * Of a kind of work that takes long, one at a time for each page: whoever asks for another one has no use for the one before, which
 * is given up.
 */
export function latestOfEach() {
  const underWay = new Map<string, AbortController>();
  return async <Result>(work: (superseded: AbortSignal) => Promise<Result>): Promise<Result> => {
    const by = asking()?.by ?? '';
    underWay.get(by)?.abort();
    const own = new AbortController();
    underWay.set(by, own);
    try {
      return await work(own.signal);
    } finally {
      if (underWay.get(by) === own) underWay.delete(by);
    }
  };
}
