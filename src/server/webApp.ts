import fs from 'node:fs';
import path from 'node:path';
import { Router, static as serveStatic } from 'express';
import { notFound } from './http/problem';

const ENCODINGS = [
  { name: 'br', ending: '.br' },
  { name: 'gzip', ending: '.gz' },
];

/**
 * Serves the built web app: files compressed at build time where the browser takes them, the one page for every
 * address that is not a file, and a plain 404 for a file that is missing.
 */
export function webApp(folder: string): Router {
  const router = Router();
  router.get(/\.(?:js|css|json|svg|html)$/, (request, response, next) => {
    const file = path.join(folder, path.normalize(request.path));
    const accepted = request.acceptsEncodings();
    const encoding = ENCODINGS.find(
      (each) => accepted.includes(each.name) && file.startsWith(folder + path.sep) && fs.existsSync(file + each.ending),
    );
    if (!encoding) {
      next();
      return;
    }
    response.set({ 'Content-Encoding': encoding.name, Vary: 'Accept-Encoding', ...caching(request.path) });
    response.type(path.extname(file));
    const headers = { 'Content-Type': response.get('Content-Type') };
    response.sendFile(`${path.relative(folder, file)}${encoding.ending}`, { root: folder, headers });
  });
  router.use(serveStatic(folder, { index: false, setHeaders: (response, file) => void response.set(caching(file)) }));
  router.get(/.*/, (request, response) => {
    if (path.extname(request.path) !== '') throw notFound(`file ${request.path}`);
    response.set(caching('index.html'));
    // From its root: the folder itself may lie below one that begins with a dot, as in the cache of npx.
    response.sendFile('index.html', { root: folder });
  });
  return router;
}

/** Files with a hash in their name never change; the page itself is asked for anew each time. */
function caching(file: string): { 'Cache-Control': string } {
  const hashed = /[.-][0-9a-f]{32}\./.test(path.basename(file));
  return { 'Cache-Control': hashed ? 'public, max-age=31536000, immutable' : 'no-cache' };
}
