import type { EmergencyCard, OwnCard, TrainingTally } from '@/contract/handbook';
import type { CaseKind } from '@/core/training/cases';
import type { Queries } from './database';
import { readMeta, writeMeta } from './meta';

interface CardRow {
  name: string;
  common_name: string | null;
  profile: string;
  notes: OwnCard['notes'];
  synonyms: string[];
  grown_mm: number | null;
  keeper: string | null;
}

/** The keepers' own cards, by name. */
export async function listOwnCards(queries: Queries): Promise<OwnCard[]> {
  const rows = await queries.query<CardRow>('SELECT * FROM own_card ORDER BY name');
  return rows.map(({ common_name, ...row }) => ({
    ...{ name: row.name, commonName: common_name, profile: row.profile },
    ...{ notes: row.notes, synonyms: row.synonyms, grownMm: row.grown_mm, keeper: row.keeper },
  }));
}

export async function writeOwnCard(queries: Queries, card: OwnCard, at: string): Promise<void> {
  await queries.query(
    `INSERT INTO own_card (name, common_name, profile, notes, synonyms, keeper, changed_at, grown_mm)
     VALUES ($1, $2, $3, $4::jsonb, $5::jsonb, $6, $7, $8)
     ON CONFLICT (name) DO UPDATE SET common_name = excluded.common_name, profile = excluded.profile,
       notes = excluded.notes, synonyms = excluded.synonyms, keeper = excluded.keeper, changed_at = excluded.changed_at,
       grown_mm = excluded.grown_mm`,
    [
      ...[card.name, card.commonName, card.profile, JSON.stringify(card.notes), JSON.stringify(card.synonyms)],
      ...[card.keeper, at, card.grownMm],
    ],
  );
}

/** Answers whether there was one. */
export async function deleteOwnCard(queries: Queries, name: string): Promise<boolean> {
  return (await queries.query('DELETE FROM own_card WHERE name = $1 RETURNING name', [name])).length > 0;
}

const EMERGENCY_KEY = 'emergency';

export async function readEmergency(queries: Queries): Promise<EmergencyCard> {
  const written = await readMeta(queries, EMERGENCY_KEY);
  return written === undefined ? { contacts: [], address: '' } : (JSON.parse(written) as EmergencyCard);
}

export const writeEmergency = (queries: Queries, card: EmergencyCard) =>
  writeMeta(queries, EMERGENCY_KEY, JSON.stringify(card));

export interface TrainingAnswer {
  id: string;
  keeper: string;
  kind: CaseKind;
  isRight: boolean;
}

/** Written once, however often it is sent. */
export async function insertTrainingAnswer(queries: Queries, answer: TrainingAnswer, at: string): Promise<void> {
  await queries.query(
    `INSERT INTO training_answer (id, keeper, kind, is_right, at) VALUES ($1, $2, $3, $4, $5) ON CONFLICT DO NOTHING`,
    [answer.id, answer.keeper, answer.kind, answer.isRight, at],
  );
}

/** How each helper answered, kind by kind; whoever answered last comes first. */
export async function trainingTallies(queries: Queries): Promise<TrainingTally[]> {
  const rows = await queries.query<{ keeper: string; kind: CaseKind; right: number; asked: number; last_at: string }>(
    `SELECT keeper, kind, count(*) FILTER (WHERE is_right) AS right, count(*) AS asked, max(at) AS last_at
     FROM training_answer GROUP BY keeper, kind ORDER BY keeper, kind`,
  );
  const byKeeper = new Map<string, TrainingTally>();
  for (const { keeper, kind, right, asked, last_at } of rows) {
    const tally = byKeeper.get(keeper) ?? { keeper, kinds: [], lastAt: last_at };
    tally.kinds.push({ kind, right, asked });
    if (last_at > tally.lastAt) tally.lastAt = last_at;
    byKeeper.set(keeper, tally);
  }
  return [...byKeeper.values()].sort((a, b) => b.lastAt.localeCompare(a.lastAt));
}
