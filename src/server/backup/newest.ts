import fs from 'node:fs';
import path from 'node:path';

const DAILY = /^verdant-burrow-(\d{4}-\d{2}-\d{2})\.zip$/;
const PROOF = 'proven.json';

/** The daily backups of a folder with their days, the newest first. */
export function dailyIn(folder: string): { name: string; day: string }[] {
  if (!fs.existsSync(folder)) return [];
  return fs
    .readdirSync(folder)
    .flatMap((name) => {
      const day = DAILY.exec(name)?.[1];
      return day === undefined ? [] : [{ name, day }];
    })
    .sort((one, other) => other.day.localeCompare(one.day));
}

/** The last day whose backup was restored on trial; null where none was. */
export function provenIn(folder: string): string | null {
  try {
    const { day } = JSON.parse(fs.readFileSync(path.join(folder, PROOF), 'utf8')) as { day?: unknown };
    return typeof day === 'string' ? day : null;
  } catch {
    return null;
  }
}

export const writeProof = (folder: string, day: string): void =>
  fs.writeFileSync(path.join(folder, PROOF), JSON.stringify({ day }));

/** What to do with a house whose data cannot be opened: its newest good backup, and what is lost since. */
export function wayBack(cluster: string, folder: string | undefined): string {
  const daily = folder === undefined ? [] : dailyIn(folder);
  const proven = folder === undefined ? null : provenIn(folder);
  const newest = daily.find(({ day }) => proven === null || day <= proven) ?? daily[0];
  if (folder === undefined || !newest)
    return `No backup was found. Save what still reads: bin/backup --rescue FILE. Then move ${cluster} away and start again for an empty house, or bring a backup in: bin/restore FILE --instead`;
  const file = path.join(folder, newest.name);
  return (
    `The newest good backup is of ${newest.day}: what was written since that day is lost with it. Bring it in with\n` +
    `  bin/restore ${file} --instead\n` +
    `What is there now is kept beside it. What still reads of it is saved before with\n  bin/backup --rescue FILE`
  );
}
