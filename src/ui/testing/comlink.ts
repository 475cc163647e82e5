import path from 'node:path';

/**
 * Stands in for comlink and the browser's workers where there are none: the same files do the same work in the test's own
 * thread, and hand over copies as a worker would.
 */
type Work = Record<string, (...given: unknown[]) => unknown>;

let exposed: Work = {};
export const expose = (work: Work): void => {
  exposed = work;
};

const works = new Map<string, Work>();

function workOf(file: string): Work {
  const known = works.get(file);
  if (known) return known;
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- which file it is, the page says
  require(path.resolve(__dirname, '../../client', file));
  works.set(file, exposed);
  return exposed;
}

export class WorkerHere {
  readonly file: string;
  constructor(address: URL | string) {
    this.file = path.basename(String(address));
  }
  terminate(): void {}
}

/** What crosses to a worker and back is copied; a file is handed over as it is. */
const copy = (value: unknown): unknown => (value instanceof Blob ? value : structuredClone(value));

export const wrap = ({ file }: WorkerHere) =>
  new Proxy(
    {},
    {
      get:
        (_, name: string) =>
        async (...given: unknown[]) =>
          copy(await workOf(file)[name]?.(...given.map(copy))),
    },
  );
