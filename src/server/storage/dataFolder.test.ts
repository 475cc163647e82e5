import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { openDataFolder } from './dataFolder';
import { lockFolder } from './folderLock';
import { openFolder } from './pglite';

describe('the data folder', () => {
  let root: string;
  let folder: string;
  beforeEach(() => {
    root = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-folder-'));
    folder = path.join(root, 'data');
  });
  afterEach(() => fs.rmSync(root, { recursive: true, force: true }));

  it('is made for this user only, writes through to the disk before it answers, and is opened again with what was written', async () => {
    const first = await openFolder(openDataFolder(folder));
    await first.query('CREATE TABLE kept (n integer)');
    // What is answered has reached the disk.
    const fsync = jest.spyOn(fs, 'fsyncSync');
    for (let n = 0; n < 10; n += 1) await first.query('INSERT INTO kept VALUES ($1)', [n]);
    expect(fsync.mock.calls.length).toBeGreaterThanOrEqual(10);
    fsync.mockRestore();
    await first.close();
    expect(fs.statSync(folder).mode & 0o777).toBe(0o700);
    expect(fs.statSync(path.join(folder, 'cluster')).mode & 0o777).toBe(0o700);
    const again = await openFolder(openDataFolder(folder));
    expect(await again.query('SELECT count(*)::int AS n FROM kept')).toEqual([{ n: 10 }]);
    await again.close();
    expect(fs.existsSync(path.join(folder, 'cluster.lock'))).toBe(false);
  }, 60_000);

  it('throws away a first start that was interrupted', () => {
    fs.mkdirSync(path.join(folder, 'cluster.new/base'), { recursive: true });
    const opened = openDataFolder(folder);
    expect(opened.isNew).toBe(true);
    expect(fs.existsSync(opened.draft)).toBe(false);
    opened.release();
  });

  it('refuses a damaged cluster with what to do, and touches nothing', () => {
    fs.mkdirSync(path.join(folder, 'cluster/base'), { recursive: true });
    expect(() => openDataFolder(folder)).toThrow(/damaged: PG_VERSION, .*Nothing was changed/);
    expect(fs.readdirSync(folder)).toEqual(['cluster']);
  });

  it('refuses a folder with other files in it', () => {
    fs.mkdirSync(folder);
    fs.writeFileSync(path.join(folder, 'letters.txt'), 'dear');
    expect(() => openDataFolder(folder)).toThrow(/holds other files \(letters.txt\)/);
  });

  it('refuses a path that is no folder', () => {
    fs.writeFileSync(folder, '');
    expect(() => openDataFolder(folder)).toThrow(/cannot be written to \(E(EXIST|NOTDIR)\)/);
  });

  describe('its lock', () => {
    const lockFile = () => path.join(root, 'lock');
    const locked = (pid: number, startedAt: string | null = null) =>
      fs.writeFileSync(lockFile(), JSON.stringify({ pid, startedAt, since: 'then' }));

    it('lets in one at a time and says who holds it', () => {
      const { release } = lockFolder(lockFile(), 'F');
      expect(() => lockFolder(lockFile(), 'F')).toThrow(`F is in use by process ${process.pid}`);
      release();
      lockFolder(lockFile(), 'F').release();
      expect(fs.readdirSync(root)).toEqual([]);
    });

    it('is taken over from a process that is gone', async () => {
      const child = spawn(process.execPath, ['-e', '']);
      await new Promise((resolve) => child.on('exit', resolve));
      locked(child.pid ?? 0);
      lockFolder(lockFile(), 'F').release();
    });

    it('is not mistaken for that of another process with the same pid', () => {
      locked(process.pid, 'another start');
      lockFolder(lockFile(), 'F').release();
    });

    describe('from another container, whose processes nobody here sees', () => {
      const WATCHED_MS = 1200;
      const foreign = () => {
        const holder = { pid: process.pid, startedAt: null, since: 'then', place: 'another container' };
        fs.writeFileSync(lockFile(), JSON.stringify(holder));
      };

      it('is held for as long as it is touched', () => {
        foreign();
        const beat = spawn('sh', ['-c', `for i in 1 2 3 4 5 6 7 8; do sleep 0.3; touch ${lockFile()}; done`]);
        expect(() => lockFolder(lockFile(), 'F', undefined, WATCHED_MS)).toThrow(/in use by process \d+ of another/);
        beat.kill();
      });

      it('is taken over once nobody touches it', () => {
        foreign();
        lockFolder(lockFile(), 'F', undefined, WATCHED_MS).release();
        expect(fs.readdirSync(root)).toEqual([]);
      });
    });

    it('is touched while it is held; taken all the same, its holder is told, and does not give away what is not its own', () => {
      jest.useFakeTimers({ now: new Date('2026-03-14T18:00:00Z') });
      const lost = jest.fn();
      const { isHeld, release } = lockFolder(lockFile(), 'F', lost);
      const touched = () => fs.statSync(lockFile()).mtimeMs;
      fs.utimesSync(lockFile(), 1, 1);
      jest.advanceTimersByTime(4000);
      expect(touched()).toBeGreaterThan(1000);
      expect(lost).not.toHaveBeenCalled();
      locked(1);
      // Before the next commit, and if there is none at the next beat.
      expect(isHeld()).toBe(false);
      jest.advanceTimersByTime(4000);
      expect(lost).toHaveBeenCalledTimes(2);
      release();
      expect(fs.existsSync(lockFile())).toBe(true);
      jest.useRealTimers();
    });

    it('is taken over when it is no lock at all', () => {
      fs.writeFileSync(lockFile(), '{"pid":');
      lockFolder(lockFile(), 'F').release();
    });
  });
});
