/** A move as far as its place in a chain goes. */
interface Step {
  from: string | null;
  to: string;
}

/**
 * Moves in chains: each goes into the box that the next one leaves. The last of a chain goes into a free one. A ring, which
 * a plan does not have, would be left out.
 */
export function chainsOf<Move extends Step>(moves: readonly Move[]): Move[][] {
  const leaving = new Map(moves.map((move) => [move.from, move]));
  const entered = new Set(moves.map(({ to }) => to));
  const heads = moves.filter(({ from }) => from === null || !entered.has(from));
  return heads.map((head) => {
    const chain = [head];
    for (let next = leaving.get(head.to); next; next = leaving.get(next.to)) chain.push(next);
    return chain;
  });
}
