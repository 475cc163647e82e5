/**
 * Loaded before the server (`node -r`): a disk that forgets. What was written and not yet fsynced is undone, page by page and at
 * random, at the moment of the cut, and the process is gone. VB_CUT_FOLDER names the folder it watches over, VB_CUT_AFTER at which
 * call that writes or syncs the power goes; VB_CUT_SEED what is lost.
 */
const fs = require('node:fs');
const { syncBuiltinESMExports } = require('node:module');
const path = require('node:path');

const PAGE = 4096;
const folder = path.resolve(process.env.VB_CUT_FOLDER);
let left = Number(process.env.VB_CUT_AFTER);
let state = Number(process.env.VB_CUT_SEED) || 1;
const real = { ...fs };

/** Numerical Recipes' linear congruence: which pages are lost need only differ from cut to cut. */
const chance = () => (state = (1664525 * state + 1013904223) >>> 0) / 2 ** 32;

/** By file what its pages held when it was last synced, and how long it was; null where it was not there. */
const durable = new Map();
const pathOf = new Map();

const isOurs = (file) => typeof file === 'string' && path.resolve(file).startsWith(folder + path.sep);

/** Notes what the pages of a range hold on the disk, before they are written over. */
function remember(fd, position, length) {
  const file = pathOf.get(fd);
  if (file === undefined) return;
  const size = real.fstatSync(fd).size;
  const known = durable.get(file) ?? { size, pages: new Map() };
  durable.set(file, known);
  for (let page = Math.floor(position / PAGE); page * PAGE < position + length; page += 1) {
    if (known.pages.has(page)) continue;
    const held = Buffer.alloc(PAGE);
    // Opened for writing alone, it is read by another way.
    const read = real.openSync(file, 'r');
    const bytes = real.readSync(read, held, 0, PAGE, page * PAGE);
    real.closeSync(read);
    known.pages.set(page, held.subarray(0, bytes));
  }
}

function cut() {
  for (const [file, { size, pages }] of durable) {
    if (!real.existsSync(file)) continue;
    const fd = real.openSync(file, 'r+');
    for (const [page, held] of pages) if (chance() < 0.5) real.writeSync(fd, held, 0, held.length, page * PAGE);
    if (real.fstatSync(fd).size > size && chance() < 0.5) real.ftruncateSync(fd, size);
    real.closeSync(fd);
  }
  process.kill(process.pid, 'SIGKILL');
  // Nothing more is written while the signal is on its way.
  for (;;);
}

const step = () => {
  left -= 1;
  if (left <= 0) cut();
};

fs.openSync = (file, ...more) => {
  const fd = real.openSync(file, ...more);
  if (isOurs(file)) pathOf.set(fd, path.resolve(file));
  return fd;
};
fs.closeSync = (fd) => {
  pathOf.delete(fd);
  return real.closeSync(fd);
};
fs.writeSync = (fd, buffer, ...more) => {
  if (pathOf.has(fd) && typeof buffer !== 'string') {
    const [offset = 0, length = buffer.byteLength - offset, position] = more;
    remember(fd, typeof position === 'number' ? position : real.fstatSync(fd).size, length);
    step();
  }
  return real.writeSync(fd, buffer, ...more);
};
fs.ftruncateSync = (fd, length = 0) => {
  if (pathOf.has(fd)) remember(fd, length, Math.max(0, real.fstatSync(fd).size - length));
  return real.ftruncateSync(fd, length);
};
fs.fsyncSync = (fd) => {
  const file = pathOf.get(fd);
  if (file !== undefined) step();
  const done = real.fsyncSync(fd);
  if (file !== undefined) durable.delete(file);
  return done;
};
fs.renameSync = (from, to) => {
  const done = real.renameSync(from, to);
  const known = durable.get(path.resolve(from));
  durable.delete(path.resolve(from));
  if (known) durable.set(path.resolve(to), known);
  return done;
};
fs.unlinkSync = (file) => {
  durable.delete(path.resolve(String(file)));
  return real.unlinkSync(file);
};
syncBuiltinESMExports();
