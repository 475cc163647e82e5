import type { Queries } from './database';

export async function readMeta(queries: Queries, key: string): Promise<string | undefined> {
  const [row] = await queries.query<{ value: string }>('SELECT value FROM meta WHERE key = $1', [key]);
  return row?.value;
}

export async function writeMeta(queries: Queries, key: string, value: string): Promise<void> {
  await queries.query(
    'INSERT INTO meta (key, value) VALUES ($1, $2) ON CONFLICT (key) DO UPDATE SET value = EXCLUDED.value',
    [key, value],
  );
}

/** True when not even a shelf has been written. */
export async function isEmpty(queries: Queries): Promise<boolean> {
  return (await queries.query('SELECT id FROM shelf LIMIT 1')).length === 0;
}

/** A value that changes with every record written, changed or undone; what simulated probes say is not anybody's. */
export async function fingerprint(queries: Queries): Promise<string> {
  const [row] = await queries.query<{ print: string }>(
    `SELECT md5(concat(
       (SELECT string_agg(r::text, ',' ORDER BY r.id) FROM room r), '/', (SELECT count(*) FROM shelf), '/', (SELECT string_agg(r::text, ',' ORDER BY r.id) FROM resident r), '/',
       (SELECT count(*) || '/' || count(undone_at) FROM entry), '/',
       (SELECT count(*) || '/' || count(undone_at) FROM stock_entry), '/',
       (SELECT string_agg(c::text, ',' ORDER BY c.id) FROM feeder_culture c), '/',
       (SELECT string_agg(c::text, ',' ORDER BY c.scope, c.about, c.topic) FROM school_choice c), '/',
       (SELECT count(*) FROM forbidden_food), '/', (SELECT count(*) FROM price_list), '/',
       (SELECT value FROM meta WHERE key = 'hemisphere'), '/',
       (SELECT string_agg(h::text, ',' ORDER BY h.id) FROM home h), '/',
       (SELECT string_agg(s::text, ',' ORDER BY s.id) FROM shelf s), '/',
       (SELECT string_agg(p.home_id || ':' || p.version, ',' ORDER BY p.home_id) FROM home_photo p), '/',
       (SELECT string_agg(o::text, ',' ORDER BY o.id) FROM own_profile o), '/',
       (SELECT string_agg(o::text, ',' ORDER BY o.id) FROM own_material o), '/',
       (SELECT string_agg(k::text, ',' ORDER BY k.id) FROM keeper k), '/',
       (SELECT value FROM meta WHERE key = 'emergency'), '/',
       (SELECT string_agg(c::text, ',' ORDER BY c.name) FROM own_card c), '/',
       (SELECT string_agg(p::text, ',' ORDER BY p.id) FROM own_plant p), '/',
       (SELECT count(*) FROM training_answer), '/', (SELECT count(*) || '/' || count(undone_at) FROM label_print), '/',
       (SELECT count(*) FROM keeper_busy), '/', (SELECT string_agg(a::text, ',' ORDER BY a.id) FROM absence a), '/',
       (SELECT string_agg(p.id || p.name || p.kind || p.fault, ',' ORDER BY p.id) FROM probe p), '/',
       (SELECT count(*) FROM reading r JOIN probe p ON p.id = r.probe_id WHERE p.kind <> 'simulated')))  AS print`,
  );
  return row?.print ?? '';
}

/** Empties every table of records; the migrations stay. */
export async function eraseRecords(queries: Queries): Promise<void> {
  await queries.query(
    'TRUNCATE label_printed, label_print, forecast_kept, own_plant, brought_list, own_card, training_answer, absence, keeper_busy, keeper, school_choice, forbidden_food, stock_entry, feeder_culture, price_list, reading_staged, reading_import, reading_week, reading_hour, reading, room_warmth, probe, meta, entry_photo, entry_version, entry, resident, home_photo, home_was, home, shelf, room, own_profile, own_material',
  );
}
