import fs from 'node:fs';
import path from 'node:path';
import {
  cloneElement,
  createElement,
  createContext,
  useContext,
  useEffect,
  useSyncExternalStore,
  type ComponentType,
  type ReactElement,
  type ReactNode,
} from 'react';

/**
 * Stands in for Expo Router where whole screens are tested without a browser: the same files of `app/`, the same addresses,
 * and a history in memory.
 */
const APP = path.resolve(__dirname, '../../../app');

interface Route {
  file: string;
  /** `['residents', ':id', 'air']`. */
  parts: string[];
  /** Layouts around it, the outermost first. */
  layouts: string[];
}

const ROUTES: Route[] = filesIn(APP)
  .filter((file) => file.endsWith('.tsx') && path.basename(file) !== '_layout.tsx')
  .map((file) => {
    const parts = path
      .relative(APP, file)
      .replace(/\.tsx$/, '')
      .split(path.sep);
    const folders = parts.slice(0, -1).map((_, index) => path.join(APP, ...parts.slice(0, index + 1)));
    return {
      file,
      parts: parts.filter((part, index) => !(part === 'index' && index === parts.length - 1)),
      layouts: folders.map((folder) => path.join(folder, '_layout.tsx')).filter((layout) => fs.existsSync(layout)),
    };
  })
  // What is named goes before what is given.
  .sort((a, b) => Number(a.file.includes('[')) - Number(b.file.includes('[')));

function filesIn(folder: string): string[] {
  return fs.readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => path.join(folder, name));
}

const given = (part: string) => /^\[(\w+)\]$/.exec(part)?.[1];

interface Place {
  pathname: string;
  params: Record<string, string>;
  route: Route | undefined;
}

function placeOf(address: string): Place {
  const { pathname, searchParams } = new URL(address, 'http://house.test');
  const asked = pathname.split('/').filter(Boolean).map(decodeURIComponent);
  const route = ROUTES.find(
    ({ parts }) => parts.length === asked.length && parts.every((part, index) => given(part) || part === asked[index]),
  );
  const params = Object.fromEntries(searchParams);
  route?.parts.forEach((part, index) => {
    const name = given(part);
    if (name !== undefined) params[name] = asked[index] ?? '';
  });
  return { pathname, params, route };
}

let history: string[] = ['/'];
let place = placeOf('/');
const listeners = new Set<() => void>();

function arrive(): void {
  place = placeOf(history.at(-1) ?? '/');
  for (const tell of listeners) tell();
}

/** An address, as text or as `{pathname, params}`. */
type Href = string | { pathname: string; params?: Record<string, string> };

function addressOf(href: Href): string {
  if (typeof href === 'string') return href;
  const left = new Map(Object.entries(href.params ?? {}));
  const pathname = href.pathname.replace(/\[(\w+)\]/g, (_, name: string) => {
    const value = left.get(name) ?? '';
    left.delete(name);
    return encodeURIComponent(value);
  });
  const search = new URLSearchParams([...left]).toString();
  return search ? `${pathname}?${search}` : pathname;
}

export const router = {
  push: (href: Href) => {
    history = [...history, addressOf(href)];
    arrive();
  },
  navigate: (href: Href) => router.push(href),
  replace: (href: Href) => {
    history = [...history.slice(0, -1), addressOf(href)];
    arrive();
  },
  back: () => {
    history = history.length > 1 ? history.slice(0, -1) : history;
    arrive();
  },
  canGoBack: () => history.length > 1,
  setParams: (params: Record<string, string | undefined>) => {
    const { pathname, searchParams } = new URL(history.at(-1) ?? '/', 'http://house.test');
    for (const [name, value] of Object.entries(params)) {
      if (value === undefined) searchParams.delete(name);
      else searchParams.set(name, value);
    }
    const search = String(searchParams);
    router.replace(search ? `${pathname}?${search}` : pathname);
  },
};

/** Begins anew at an address, as a browser does that is opened there. */
export function beginAt(address: string): void {
  history = [address];
  place = placeOf(address);
}

/** Where the page is. */
export const address = (): string => history.at(-1) ?? '/';

const usePlace = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => void listeners.delete(tell);
    },
    () => place,
  );

export const usePathname = () => usePlace().pathname;
export const useLocalSearchParams = () => usePlace().params;
export const useGlobalSearchParams = useLocalSearchParams;
export const useSegments = () => usePlace().route?.parts ?? [];

/** What a layout is drawn around. */
const Within = createContext<ReactNode>(null);
export const Slot = () => useContext(Within);

/** A link; what it is drawn as is always its child. */
export function Link({ href, children }: { href: Href; children: ReactElement<object>; asChild: true }) {
  const onClick = (event: { preventDefault: () => void }) => {
    event.preventDefault();
    router.push(href);
  };
  return cloneElement(children, { href: addressOf(href), onClick } as object);
}

/** Leads on at once. */
export function Redirect({ href }: { href: Href }) {
  useEffect(() => router.replace(href), [href]);
  return null;
}

// eslint-disable-next-line @typescript-eslint/no-require-imports -- which file it is, the address says
const screenOf = (file: string) => (require(file) as { default: ComponentType<object> }).default;

/** The screen of the address within its layouts. */
export function Routes() {
  const { route, pathname } = usePlace();
  if (!route) return <p>There is no screen at {pathname}.</p>;
  return route.layouts.reduceRight<ReactNode>(
    (inner, layout) => {
      return (
        <Within.Provider key={layout} value={inner}>
          {createElement(screenOf(layout))}
        </Within.Provider>
      );
    },
    createElement(screenOf(route.file), { key: route.file }),
  );
}
