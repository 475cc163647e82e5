import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/**
 * A share of what the files of a folder declare (functions and tables, whole), for Stryker to change: drawn by their names, so
 * that the same share is the same draw on every machine, and nobody chooses what is looked at.
 */
export function drawn(folder, share) {
  return readdirSync(folder)
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .flatMap((name) => {
      const path = join(folder, name);
      const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest);
      const lineAt = (position) => source.getLineAndCharacterOfPosition(position).line + 1;
      return source.statements
        .filter((each) => ts.isFunctionDeclaration(each) || ts.isVariableStatement(each))
        .map((each) => `${path}:${lineAt(each.getStart(source))}-${lineAt(each.end)}`)
        .filter((_, at) => chance(`${path} ${at}`) < share);
    });
}

/** Between 0 and 1, the same for the same words. */
const chance = (words) => createHash('sha256').update(words).digest().readUInt32BE(0) / 2 ** 32;
