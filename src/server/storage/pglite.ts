import fs from 'node:fs';
import { Mutex, PGlite, type PGliteOptions, type Transaction } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import { mayWrite, typeParsers, type Database, type Queries } from './database';
import type { DataFolder } from './dataFolder';
import { PreparedStatements } from './prepared';
import { preparedCluster } from './preparedCluster';

interface EmscriptenFile {
  nfd: number;
}
interface EmscriptenModule {
  NODEFS: { stream_ops: { fsync?: (file: EmscriptenFile) => number } };
}

/** PGlite's folder storage, with the fsync that it leaves out: an acknowledged entry has reached the disk. */
class DurableFolder extends NodeFS {
  override async init(...args: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const made = await super.init(...args);
    const addFsync = (module: unknown) => {
      (module as EmscriptenModule).NODEFS.stream_ops.fsync = (file) => {
        fs.fsyncSync(file.nfd);
        return 0;
      };
    };
    made.emscriptenOpts.preRun = [...(made.emscriptenOpts.preRun ?? []), addFsync];
    return made;
  }
}

/** PGlite starts with `-F` (never fsync); everything else of its defaults stays. */
function durableStart(): string[] {
  const { defaultStartParams } = PGlite as unknown as { defaultStartParams: string[] };
  // A sample of 3,000 rows is enough for plans as simple as these, and is counted in a tenth of the time.
  const counting = 'default_statistics_target=10';
  const settings = [counting, 'wal_sync_method=fsync', 'shared_buffers=16MB', 'max_wal_size=64MB', 'min_wal_size=32MB'];
  return [...defaultStartParams.filter((each) => each !== '-F'), ...settings.flatMap((each) => ['-c', each])];
}

const parsers = typeParsers as unknown as NonNullable<PGliteOptions['parsers']>;

/**
 * Tells the planner how much there is of what: the embedded database has nobody who does so by himself, and plans for
 * empty tables for ever (measured on the demo: lists in half, the round in three quarters of the time).
 */
export async function countRows(queries: Queries): Promise<void> {
  const tables = await queries.query<{ name: string }>(
    `SELECT quote_ident(tablename) AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY tablename`,
  );
  for (const { name } of tables) {
    await queries.query(`ANALYZE ${name}`);
    await new Promise(setImmediate);
  }
}

/** Whether it has ever been counted, or nothing is there to be counted yet: what it came to is kept with the data. */
export async function wasCounted(queries: Queries): Promise<boolean> {
  const [row] = await queries.query<{ counted: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM pg_stats WHERE tablename = 'entry') OR NOT EXISTS (SELECT 1 FROM entry) AS counted`,
  );
  return row?.counted === true;
}

/** Opens the cluster of a data folder; a new one is built from a packed one in the draft folder and renamed once it is whole. */
export async function openFolder(
  folder: DataFolder,
  cluster: () => Promise<Blob> = async () => preparedCluster(),
): Promise<Database> {
  if (folder.isNew) {
    const draft = await PGlite.create({
      fs: new DurableFolder(folder.draft),
      loadDataDir: await cluster(),
      startParams: durableStart(),
    });
    await draft.close();
    fs.renameSync(folder.draft, folder.cluster);
  }
  fs.chmodSync(folder.cluster, 0o700);
  const pglite = await PGlite.create({ fs: new DurableFolder(folder.cluster), startParams: durableStart(), parsers });
  return wrap(pglite, folder.release, folder.isHeld);
}

/** A database that is gone with the process. `cluster` may be a packed one with tables already in it. */
export async function openMemory(cluster: Blob = preparedCluster()): Promise<Database & { dump(): Promise<Blob> }> {
  const pglite = await PGlite.create({ loadDataDir: cluster, parsers });
  return {
    ...(await wrap(
      pglite,
      () => undefined,
      () => true,
    )),
    dump: () => pglite.dumpDataDir('gzip'),
  };
}

/** After so many writing statements the tables may have grown far beyond what was planned for. Chosen here */
const PLANNED_ANEW_AFTER = 500;

async function wrap(pglite: PGlite, release: () => void, isHeld: () => boolean): Promise<Database> {
  await pglite.exec(`SET TIME ZONE 'UTC'`);
  const [{ version } = { version: '' }] = (
    await pglite.query<{ version: string }>(`SELECT current_setting('server_version') AS version`)
  ).rows;
  const prepared = await PreparedStatements.on(pglite);
  /** One statement or transaction after another. */
  const turns = new Mutex();
  let writes = 0;
  let plannedAt = 0;
  let answeredAt = performance.now();
  const requireHeld = () => {
    if (!isHeld()) throw new Error('Another server has taken over the data: nothing more is written here.');
  };
  const ask = async <Row>(sql: string, parameters: unknown[], inner?: Transaction): Promise<Row[]> => {
    const rows = await prepared.run<Row>(sql, parameters, inner);
    answeredAt = performance.now();
    return rows;
  };
  const wrote = async (statements: number) => {
    writes += statements;
    if (writes - plannedAt < PLANNED_ANEW_AFTER) return;
    plannedAt = writes;
    await prepared.forget();
  };
  /** What the queries of a transaction under way stand for. */
  const underWay = new WeakMap<Queries, { inner: Transaction; written: number; hasScript: boolean }>();
  return {
    name: `PGlite (PostgreSQL ${version})`,
    query: <Row>(sql: string, parameters: unknown[] = []) =>
      turns.runExclusive(async () => {
        // A statement of its own commits by itself.
        if (mayWrite(sql)) requireHeld();
        const rows = await ask<Row>(sql, parameters);
        if (mayWrite(sql)) await wrote(1);
        return rows;
      }),
    transaction: (work) =>
      turns.runExclusive(async () => {
        const queries: Queries = {
          query: async <Row>(sql: string, parameters: unknown[] = []) => {
            const own = underWay.get(queries);
            if (!own) throw new Error('The transaction has ended: nothing is asked of it any more.');
            const rows = await ask<Row>(sql, parameters, own.inner);
            if (mayWrite(sql)) own.written += 1;
            return rows;
          },
        };
        try {
          return await pglite.transaction(async (inner) => {
            underWay.set(queries, { inner, written: 0, hasScript: false });
            const result = await work(queries);
            requireHeld();
            return result;
          });
        } finally {
          const { written = 0, hasScript = false } = underWay.get(queries) ?? {};
          underWay.delete(queries);
          // Tables that a script had changed may be as they were before.
          if (hasScript) await prepared.forget();
          // What others remember held until now: they had not to wait for it.
          await wrote(written);
        }
      }),
    script: async (queries, sql) => {
      const own = underWay.get(queries);
      if (!own) {
        return turns.runExclusive(async () => {
          await prepared.script(sql);
          await wrote(1);
        });
      }
      own.hasScript = true;
      own.written += 1;
      await prepared.script(sql, own.inner);
    },
    writes: () => writes,
    answeredAt: () => answeredAt,
    close: async () => {
      await turns.runExclusive(() => pglite.close());
      release();
    },
  };
}
