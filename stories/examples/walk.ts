import type { EndpointName } from '@/contract/routes';
import { routes } from '@/contract/routes';
import type { House } from '../house';
import type { Step } from './steps';

/** What was asked of an operation and what was answered, as it is shown to others. */
export interface Example {
  request?: unknown;
  reply?: unknown;
}

/** Long lists of things are shown by their first two; of numbers and words more is seen at a glance. */
const mostShown = (list: readonly unknown[]) => (typeof list[0] === 'object' ? 2 : 12);
/** Text of this length is a picture or a file: its beginning is enough. */
const LONG_TEXT = 400;
/** What is drawn by lot each time, or is long and says nothing. */
const SECRET = /^(token|path|fingerprint|squares|secret)$/;
const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;

type Names = Map<string, unknown>;

/** The value a path leads to: `residents.0.id`. */
const at = (value: unknown, path: string): unknown =>
  path.split('.').reduce((now, key) => (now as Record<string, unknown> | undefined)?.[key], value);

/** Of an address the secret at its end. */
const lastPart = (value: unknown) => (typeof value === 'string' ? (value.split(/[/#]/).at(-1) ?? '') : value);

/** The same with every `$name` put in. */
function filled(value: unknown, names: Names): unknown {
  if (typeof value === 'string') {
    if (/^\$\w+$/.test(value)) return names.get(value.slice(1)) ?? value;
    return value.replace(/\$(\w+)/g, (whole, name: string) => String(names.get(name) ?? whole));
  }
  if (Array.isArray(value)) return value.map((each) => filled(each, names));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, filled(each, names)]));
}

/** As an example shows it: without what is drawn by lot, ids numbered, times of this run as one, lists cut. */
export function shown(value: unknown, ids: Map<string, string>, key = ''): unknown {
  if (typeof value === 'string') {
    if (SECRET.test(key)) return 'x'.repeat(12);
    const numbered = value
      .replace(UUID, (id) => {
        if (!ids.has(id)) ids.set(id, `00000000-0000-4000-8000-${String(ids.size + 1).padStart(12, '0')}`);
        return ids.get(id) ?? id;
      })
      .replace(/^(\d{4}-\d\d-\d\dT\d\d):\d\d:\d\d\.\d{3}Z$/, '$1:00:00.000Z');
    return numbered.length > LONG_TEXT ? `${numbered.slice(0, LONG_TEXT)}` : numbered;
  }
  if (Array.isArray(value)) return value.slice(0, mostShown(value)).map((each) => shown(each, ids, key));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, shown(each, ids, name)]));
}

/** Where something stands in a value, without what stands there: `moves.0.window`. */
export function places(value: unknown, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, each]) => places(each, `${path}.${key}`));
}

/** Goes through the steps in a house, and answers what was asked and said, operation by operation. @throws where a step is refused */
export async function walked(house: House, steps: readonly Step[], names: Names): Promise<Map<EndpointName, Example>> {
  const examples = new Map<EndpointName, Example>();
  const ids = new Map<string, string>();
  const refused: string[] = [];
  for (const { operation, params = {}, query, body, names: named = {}, bearer } of steps) {
    const { method, path } = routes[operation];
    const inPath = path.replace(/:(\w+)/g, (_, key: string) =>
      encodeURIComponent(String(filled(params[key] ?? '', names))),
    );
    const asked = body === undefined ? undefined : filled(body, names);
    const search = query ? `?${new URLSearchParams(query).toString()}` : '';
    const headers = bearer === undefined ? undefined : { Authorization: `Bearer ${String(filled(bearer, names))}` };
    const answer = await house.ask(method.toUpperCase(), `${inPath}${search}`, asked, headers);
    if (answer.status >= 300) {
      refused.push(`${operation} ${inPath} was answered with ${answer.status}: ${JSON.stringify(answer.body)}`);
      continue;
    }
    for (const [name, where] of Object.entries(named)) names.set(name, lastPart(at(answer.body, where)));
    if (!examples.has(operation))
      examples.set(operation, {
        ...(asked !== undefined && { request: shown(asked, ids) }),
        reply: shown(answer.body, ids),
      });
  }
  if (refused.length > 0) throw new Error(refused.join('\n'));
  return examples;
}
