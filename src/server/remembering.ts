/**
 * Remembers answers by their question, the latest so many: those asked longest ago are forgotten first. An answer that is
 * still being worked out is shared by all that ask; one that failed is forgotten.
 * @param most how many are kept
 */
export function remembering<Answer>(most: number): (question: string, work: () => Answer) => Answer {
  const known = new Map<string, Answer>();
  return (question, work) => {
    const has = known.has(question);
    const answer = has ? (known.get(question) as Answer) : work();
    known.delete(question);
    known.set(question, answer);
    if (!has && known.size > most) known.delete(known.keys().next().value as string);
    if (!has && answer instanceof Promise) {
      answer.catch(() => known.get(question) === answer && known.delete(question));
    }
    return answer;
  };
}
