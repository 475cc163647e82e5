import { fileRoutes } from '@/contract/fileRoutes';
import { endpointRoles } from '@/contract/endpointRoles';
import { endpoints } from '@/contract/endpoints';
import type { Needed } from '@/contract/roles';
import type { EndpointName } from '@/contract/routes';

/** One address of the API, whoever answers it. */
export interface KnownRoute {
  name: string;
  method: string;
  path: string;
  role: Needed;
  isExport: boolean;
  /** In words, for the log; left out for files. */
  summary?: string | undefined;
}

/** Every address that the server knows. What is not in here is refused, whether a route was mounted or not. */
export const KNOWN_ROUTES: readonly KnownRoute[] = [
  ...Object.entries(endpoints).map(([name, { method, path, summary }]) => ({
    ...{ name, method, path, summary, role: endpointRoles[name as EndpointName] },
    isExport: name === 'life',
  })),
  ...Object.entries(fileRoutes).map(([name, route]) => ({ name, isExport: false, ...route })),
];

const partsOf = (path: string) => path.split('/').filter(Boolean);

/** By method and number of parts; addresses without a `:part` before those with one. */
const table = new Map<string, { route: KnownRoute; parts: string[] }[]>();
for (const route of [...KNOWN_ROUTES].sort((a, b) => a.path.split(':').length - b.path.split(':').length)) {
  const parts = partsOf(route.path);
  const key = `${route.method} ${parts.length}`;
  table.set(key, [...(table.get(key) ?? []), { route, parts }]);
}

/** The route of an address; a HEAD is answered as its GET. */
export function routeAt(method: string, path: string): KnownRoute | undefined {
  const parts = partsOf(path);
  const of = method === 'HEAD' ? 'get' : method.toLowerCase();
  return table
    .get(`${of} ${parts.length}`)
    ?.find((each) => each.parts.every((part, index) => part.startsWith(':') || part === parts[index]))?.route;
}
