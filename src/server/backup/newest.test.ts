import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { dailyIn, wayBack, writeProof } from './newest';

describe('the way back from data that cannot be opened', () => {
  let folder: string;
  beforeEach(() => {
    folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-newest-'));
  });
  afterEach(() => fs.rmSync(folder, { recursive: true, force: true }));
  const kept = (...days: string[]) => {
    for (const day of days) fs.writeFileSync(path.join(folder, `verdant-burrow-${day}.zip`), '');
  };

  it('is the newest backup that a trial proved, with the day from which all is lost', () => {
    kept('2026-05-01', '2026-05-03', '2026-05-02');
    fs.writeFileSync(path.join(folder, 'before-2026-05-04.zip'), '');
    expect(dailyIn(folder).map(({ day }) => day)).toEqual(['2026-05-03', '2026-05-02', '2026-05-01']);
    writeProof(folder, '2026-05-02');
    const said = wayBack('/data/cluster', folder);
    expect(said).toContain('of 2026-05-02: what was written since');
    expect(said).toContain(`bin/restore ${path.join(folder, 'verdant-burrow-2026-05-02.zip')} --instead`);
  });

  it('is the newest of all where no trial was ever made, or none before it worked', () => {
    kept('2026-05-01', '2026-05-03');
    expect(wayBack('/data/cluster', folder)).toContain('of 2026-05-03');
    writeProof(folder, '2026-04-01');
    expect(wayBack('/data/cluster', folder)).toContain('of 2026-05-03');
  });

  it('is an empty house where there is none', () => {
    expect(wayBack('/data/cluster', folder)).toContain('move /data/cluster away');
    expect(wayBack('/data/cluster', undefined)).toContain('No backup was found');
    expect(wayBack('/data/cluster', path.join(folder, 'missing'))).toContain('No backup was found');
  });
});
