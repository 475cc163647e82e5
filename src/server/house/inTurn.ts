/** Nothing holds the server for longer than this while a house is worked out. ms, chosen here */
const PAUSE_AFTER_MS = 8;

/** Lets others be answered, now. */
export const letOthersIn = (): Promise<void> => new Promise((resume) => setImmediate(resume));

/** Lets others be answered whenever some time has gone by: waited for between two pieces of work. */
export function pauses(): () => Promise<void> | undefined {
  let begun = performance.now();
  return () => {
    if (performance.now() - begun < PAUSE_AFTER_MS) return undefined;
    return letOthersIn().then(() => {
      begun = performance.now();
    });
  };
}

/** What is worked out for each of many, one after another, while others are answered in between. */
export async function inTurn<Each, Answer>(all: Iterable<Each>, work: (each: Each) => Answer): Promise<Answer[]> {
  const pause = pauses();
  const answers: Answer[] = [];
  for (const each of all) {
    answers.push(work(each));
    await pause();
  }
  return answers;
}

/** An answer about an object that is never changed, worked out once and kept as long as that object is; one that fails is not kept. */
export function keptFor<Key extends object, Answer>(work: (key: Key) => Answer): (key: Key) => Answer {
  const known = new WeakMap<Key, { answer: Answer }>();
  return (key) => {
    const before = known.get(key);
    if (before) return before.answer;
    const answer = work(key);
    known.set(key, { answer });
    if (answer instanceof Promise) answer.catch(() => known.delete(key));
    return answer;
  };
}

/** Read at once: no statement holds the embedded database, and with it the server, for long. Chosen here */
const AT_ONCE = 20;

/** Some work for many ids, a part of them at a time; the embedded database answers without letting others in, so they are let in between. */
export async function inParts(ids: readonly string[], work: (some: readonly string[]) => Promise<void>): Promise<void> {
  for (let from = 0; from < ids.length; from += AT_ONCE) {
    await work(ids.slice(from, from + AT_ONCE));
    await letOthersIn();
  }
}
