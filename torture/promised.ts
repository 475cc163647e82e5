import { randomUUID } from 'node:crypto';
import type { Dice } from '../fuzz/mutate';
import { HOUSE, send } from './server';

const BOX = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };

/** What one house acknowledged, and must be there after any end. */
export interface Promised {
  dice: Dice;
  residents: string[];
  entries: Map<string, string>;
  undone: Set<string>;
  /** Asked to be undone, and nobody answered: they may stand or not. */
  unsure: Set<string>;
  bulks: number;
  lists: number;
  lost: string[];
}

/** One keeper, writing until nobody answers. */
export async function write(promised: Promised, isOver: () => boolean): Promise<void> {
  while (!isOver()) {
    try {
      await promised.dice.oneOf([one, one, one, one, bulk, undo, list, backup])(promised);
    } catch {
      return;
    }
  }
}

const about = (promised: Promised) => ({ kind: 'looked', residentId: promised.dice.oneOf(promised.residents) });

async function one(promised: Promised): Promise<void> {
  const id = randomUUID();
  const entry = about(promised);
  if ((await send('POST', '/api/entries', { ...entry, id })).status === 201) promised.entries.set(id, entry.residentId);
}
async function bulk(promised: Promised): Promise<void> {
  const entries = Array.from({ length: 8 }, () => ({ ...about(promised), id: randomUUID() }));
  if ((await send('POST', '/api/entries/bulk', { entries })).status >= 300) return;
  for (const { id, residentId } of entries) promised.entries.set(id, residentId);
  promised.bulks += 1;
}
async function undo(promised: Promised): Promise<void> {
  const { dice, undone, unsure } = promised;
  const standing = [...promised.entries.keys()].filter((id) => !undone.has(id) && !unsure.has(id));
  if (standing.length === 0) return;
  const id = dice.oneOf(standing);
  unsure.add(id);
  if ((await send('POST', `/api/entries/${id}/undo`)).status < 300) undone.add(id);
}
async function list(promised: Promised): Promise<void> {
  const code = `L${promised.lists}${randomUUID().slice(0, 4)}`;
  const rows = Array.from({ length: 20 }, (_, index) => ({
    code: `${code}${index}`,
    room: 'R',
    shelf: 'S',
    container: BOX,
    substrateDepthMm: 60,
  }));
  const answer = await send('POST', '/api/lists', { kind: 'boxes', rows });
  if (answer.status < 300) promised.lists += 1;
}
/** Read while it is made, and thrown away. */
async function backup({ dice }: Promised): Promise<void> {
  if (dice.isIn(4)) await (await fetch(`${HOUSE}/api/backup`)).arrayBuffer();
}

/** Everything that was promised, looked for in the house. */
export async function look(promised: Promised): Promise<void> {
  const found = new Set<string>();
  for (const residentId of promised.residents) {
    for (let before = ''; ;) {
      const { status, body } = await send('GET', `/api/residents/${residentId}/entries${before}`);
      if (status !== 200) throw new Error(`What is written about ${residentId} was answered with ${status}.`);
      const { entries } = body as unknown as { entries: { id: string }[] };
      for (const { id } of entries) found.add(id);
      const last = entries.at(-1);
      if (!last) break;
      before = `?before=${last.id}`;
    }
  }
  for (const id of promised.entries.keys()) {
    if (!promised.undone.has(id) && !promised.unsure.has(id) && !found.has(id)) promised.lost.push(`entry ${id}`);
    if (promised.undone.has(id) && found.has(id)) promised.lost.push(`undo of ${id}`);
  }
  const homes =
    ((await send('GET', '/api/homes')).body as unknown as { homes: unknown[] }).homes.length -
    promised.residents.length;
  if (homes < 20 * promised.lists || homes % 20 !== 0)
    promised.lost.push(`boxes: ${homes} of ${promised.lists} lists of 20`);
}

/** Three animals in an empty house, about whom something can be written. */
export async function furnish(dice: Dice): Promise<Promised> {
  const promised: Promised = {
    ...{ dice, residents: [], entries: new Map(), undone: new Set(), unsure: new Set() },
    ...{ bulks: 0, lists: 0, lost: [] },
  };
  const { body } = await send('POST', '/api/shelves', { name: 'S', room: 'R' });
  const shelfId = (body as unknown as { shelf: { id: string } }).shelf.id;
  for (const code of ['A1', 'A2', 'A3']) {
    const home = (await send('POST', '/api/homes', { code, shelfId, container: BOX, substrateDepthMm: 60 }))
      .body as unknown as { home: { id: string } };
    const animal = { scientificName: 'Grammostola pulchra', homeId: home.home.id, stage: 'juvenile', legSpanMm: 60 };
    const taken = (await send('POST', '/api/residents', animal)).body as unknown as { resident: { id: string } };
    promised.residents.push(taken.resident.id);
  }
  return promised;
}
