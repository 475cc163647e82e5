/**
 * Remembers answers by their question, the latest so many: those asked longest ago are forgotten first.
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
    return answer;
  };
}
