import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { Dice } from '../fuzz/mutate';
import { furnish, look, write, type Promised } from './promised';
import { HOUSE, isReady, start, stopped } from './server';

/**
 * Kills a server again and again while four keepers write, and looks after each start whether everything is there that was
 * acknowledged: `npm run torture -- --kills 1000 --cuts 200 --seed 1`. A kill is SIGKILL at any moment, also in the first start with all its
 * migrations, a list that is brought in, a backup and a restore; a cut is the power gone, with what was not yet synced lost at random.
 */
const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '30' },
    cuts: { type: 'string', default: '10' },
    seed: { type: 'string', default: '1' },
  },
});
const WRITERS = 4;
/** After so many kills another house begins: of one that only grows, looking everything up would take longer each time. */
const KILLS_A_HOUSE = 50;

/** What is done to one house. */
interface Torments {
  firstKills: number;
  kills: number;
  cuts: number;
  restoreKills: number;
}

/** What became of it. */
interface Outcome extends Promised {
  readyMs: number[];
  problems: string[];
}

const sleep = (ms: number) => new Promise((resume) => setTimeout(resume, ms));

/** One house from its first start on, until something is lost. */
async function torment(data: string, dice: Dice, torments: Torments): Promise<Outcome> {
  const readyMs: number[] = [];
  const problems: string[] = [];
  // The first start is killed too, over and over, until one is let live.
  for (let kill = 0; kill < torments.firstKills; kill += 1) {
    const running = start(data);
    await Promise.race([sleep(50 + dice.upTo(4000)), isReady(running)]);
    await stopped(running);
  }
  const first = start(data);
  if (!(await isReady(first))) throw new Error(`The first start did not come up: ${first.said()}`);
  const promised = await furnish(dice);
  await stopped(first);
  const isWell = () => promised.lost.length + problems.length === 0;
  const writeUntil = async (running: ReturnType<typeof start>, ms: number) => {
    let isOver = false;
    const writers = Array.from({ length: WRITERS }, () => write(promised, () => isOver));
    await Promise.race([sleep(ms), running.ended]);
    isOver = true;
    await stopped(running);
    await Promise.all(writers);
  };

  for (let kill = 0; kill < torments.kills && isWell(); kill += 1) {
    const began = performance.now();
    const running = start(data);
    if (dice.isIn(8)) {
      // In the midst of a start.
      await sleep(dice.upTo(3000));
      await stopped(running);
      continue;
    }
    if (await isReady(running)) {
      readyMs.push(performance.now() - began);
      await look(promised);
      await writeUntil(running, 30 + dice.upTo(1200));
    } else problems.push(`A start failed: ${running.said()}`);
    await stopped(running);
  }
  for (let cut = 0; cut < torments.cuts && isWell(); cut += 1) {
    const [after, seed] = [20 + dice.upTo(3000), 1 + dice.upTo(1e6)];
    const cutting = start(data, { VB_CUT_FOLDER: data, VB_CUT_AFTER: String(after), VB_CUT_SEED: String(seed) });
    if (await isReady(cutting)) {
      // Asked of a server that may lose its power meanwhile.
      if (cut % 5 === 0) await look(promised).catch(() => undefined);
      await writeUntil(cutting, 20_000);
    }
    await stopped(cutting);
    // Without the shim: what does the disk hold?
    const running = start(data);
    if (await isReady(running)) await look(promised);
    else problems.push(`After a power cut it does not start: ${running.said()}`);
    await stopped(running);
  }
  // In the midst of a backup that is brought in: the house is as it was, or as the backup has it, which is the same.
  for (let kill = 0; kill < torments.restoreKills && isWell(); kill += 1) {
    const bringer = start(data);
    if (!(await isReady(bringer))) problems.push(`A start failed: ${bringer.said()}`);
    const file = await (await fetch(`${HOUSE}/api/backup`)).arrayBuffer();
    const headers = { 'Content-Type': 'application/zip' };
    const bringing = fetch(`${HOUSE}/api/restore?instead=1`, { method: 'POST', headers, body: file }).catch(
      () => undefined,
    );
    await Promise.race([sleep(50 + dice.upTo(4000)), bringing]);
    await stopped(bringer);
    const running = start(data);
    if (await isReady(running)) await look(promised);
    else problems.push(`After a kill in a restore it does not start: ${running.said()}`);
    await stopped(running);
  }
  return { ...promised, readyMs, problems };
}

/** The share of something that falls to one of several, without a remainder lost. */
const shareOf = (total: number, index: number, of: number) =>
  Math.floor((total * (index + 1)) / of) - Math.floor((total * index) / of);

async function main(): Promise<void> {
  const [kills, cuts] = [Number(values.kills), Number(values.cuts)];
  const dice = new Dice(Number(values.seed));
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-torture-'));
  const houses = Math.max(1, Math.ceil(kills / KILLS_A_HOUSE));
  // Of all kills a tenth falls into first starts, and a fifteenth into restores.
  const [firstKills, restoreKills] = [Math.ceil(kills / 10), Math.ceil(kills / 15)];
  const outcomes: Outcome[] = [];
  for (let house = 0; house < houses; house += 1) {
    const share = (total: number) => shareOf(total, house, houses);
    const torments = {
      ...{ firstKills: share(firstKills), restoreKills: share(restoreKills), cuts: share(cuts) },
      kills: share(kills - firstKills - restoreKills),
    };
    const data = path.join(folder, `house-${house}`);
    const outcome = await torment(data, dice, torments);
    outcomes.push(outcome);
    fs.rmSync(data, { recursive: true, force: true, maxRetries: 5 });
    if (houses > 1) console.log(`house ${house + 1} of ${houses}: lost ${outcome.lost.length}`);
    if (outcome.lost.length + outcome.problems.length > 0) break;
  }
  const sum = (of: (outcome: Outcome) => number) => outcomes.reduce((total, each) => total + of(each), 0);
  const sorted = outcomes.flatMap(({ readyMs }) => readyMs).sort((a, b) => a - b);
  const at = (share: number) => ((sorted[Math.floor(share * (sorted.length - 1))] ?? 0) / 1000).toFixed(1);
  console.log(
    `${kills} kills (${firstKills} in a first start, ${restoreKills} in a restore), ${cuts} power cuts, in ${houses} houses. Acknowledged and looked for: ${sum(({ entries }) => entries.size)} entries, ${sum(({ bulks }) => bulks)} bulk acts, ${sum(({ undone }) => undone.size)} undone, ${sum(({ lists }) => lists)} lists.`,
  );
  const lost = outcomes.flatMap((each) => each.lost);
  const problems = outcomes.flatMap((each) => each.problems);
  console.log(`Lost: ${lost.length}. Ready after a kill: median ${at(0.5)} s, 95 % ${at(0.95)} s, worst ${at(1)} s.`);
  for (const each of [...lost.slice(0, 10), ...problems]) console.log(`PROBLEM ${each}`);
  fs.rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
  process.exitCode = lost.length + problems.length > 0 ? 1 : 0;
}

void main();
