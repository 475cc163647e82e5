import { configure, fireEvent, waitFor } from '@testing-library/dom';

/**
 * A page without a browser, asked in the words of Playwright: a walk that needs no layout, no scrolling and no network of its
 * own is written the same way and takes a tenth of the time.
 */
type Text = string | RegExp;
interface Named {
  name?: Text;
  exact?: boolean;
  level?: number;
}

/** Until then what is waited for must have come. ms */
const PATIENCE_MS = 20_000;

// What was looked for says enough; the whole page in a message hides it.
configure({ getElementError: (message) => new Error(message ?? 'not found') });

const tidy = (text: string | null | undefined) => (text ?? '').replace(/\s+/g, ' ').trim();

function matches(text: string, wanted: Text, exact = false): boolean {
  if (wanted instanceof RegExp) return wanted.test(text);
  return exact ? text === wanted : text.toLowerCase().includes(wanted.toLowerCase());
}

/** Elements that have a role by what they are. */
const BY_NATURE: Record<string, string> = {
  link: 'a[href]',
  button: 'button',
  heading: 'h1,h2,h3,h4,h5,h6',
  main: 'main',
  navigation: 'nav',
  checkbox: 'input[type=checkbox]',
  radio: 'input[type=radio]',
  textbox: 'input:not([type]),input[type=text],textarea',
  img: 'img',
};

/** What a screen reader calls it: by ARIA's order of names, without those of CSS, which nothing here uses. */
function nameOf(element: Element): string {
  const labelled = element.getAttribute('aria-labelledby');
  if (labelled !== null) {
    const words = labelled.split(' ').map((id) => document.getElementById(id)?.textContent);
    return tidy(words.join(' '));
  }
  const label = element.getAttribute('aria-label') ?? element.getAttribute('alt');
  if (label !== null) return tidy(label);
  if (element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement) {
    return tidy(Array.from(element.labels ?? [], ({ textContent }) => textContent).join(' ') || element.placeholder);
  }
  return tidy(element.textContent);
}

const levelOf = (element: Element) =>
  Number(element.getAttribute('aria-level') ?? /^H([1-6])$/.exec(element.tagName)?.[1]);

function byRole(within: Element, role: string, { name, exact, level }: Named): Element[] {
  const nature = BY_NATURE[role];
  const all = Array.from(within.querySelectorAll(`[role="${role}"]${nature ? `,${nature}` : ''}`));
  return all.filter(
    (element) =>
      (element.getAttribute('role') ?? role) === role &&
      element.closest('[aria-hidden=true]') === null &&
      (level === undefined || levelOf(element) === level) &&
      (name === undefined || matches(nameOf(element), name, exact)),
  );
}

function byLabel(within: Element, label: Text, exact?: boolean): Element[] {
  return Array.from(within.querySelectorAll('[aria-label],[aria-labelledby],input,textarea,select')).filter((element) =>
    matches(nameOf(element), label, exact),
  );
}

/** The smallest elements that hold a text. */
function byText(within: Element, text: Text, exact?: boolean): Element[] {
  if (/^(STYLE|SCRIPT|TITLE)$/.test(within.tagName)) return [];
  // What is nowhere in an element is in none of those within it, unless the whole is asked for.
  const isWhole = exact === true || (text instanceof RegExp && /[$^]/.test(text.source));
  const holds = matches(tidy(within.textContent), text, exact);
  if (!holds && !isWhole) return [];
  const inner = Array.from(within.children).flatMap((child) => byText(child, text, exact));
  return inner.length > 0 || !holds ? inner : [within];
}

const isDisabled = (element: Element) =>
  element.getAttribute('aria-disabled') === 'true' || element.hasAttribute('disabled');

type Find = () => Element[];

/** What a tap sets off is done, and drawn, before the next one. */
const drawn = () => new Promise((resolve) => setTimeout(resolve, 15));

/** What is meant is looked for anew at every use, and waited for. */
export class Locator {
  constructor(
    readonly find: Find,
    private readonly words: string,
  ) {}

  getByRole(role: string, named: Named = {}): Locator {
    return this.within((element) => byRole(element, role, named), `${role} ${String(named.name ?? '')}`);
  }
  getByLabel(label: Text, { exact }: { exact?: boolean } = {}): Locator {
    return this.within((element) => byLabel(element, label, exact), `label ${label}`);
  }
  getByText(text: Text, { exact }: { exact?: boolean } = {}): Locator {
    return this.within((element) => byText(element, text, exact), `text ${text}`);
  }
  getByTestId(id: string): Locator {
    return this.within((element) => Array.from(element.querySelectorAll(`[data-testid="${id}"]`)), `test id ${id}`);
  }
  filter({ hasText }: { hasText: Text }): Locator {
    return this.of((all) => all.filter((element) => matches(tidy(element.textContent), hasText)), `with ${hasText}`);
  }
  first(): Locator {
    return this.nth(0);
  }
  last(): Locator {
    return this.nth(-1);
  }
  nth(index: number): Locator {
    return this.of((all) => all.slice(index, index === -1 ? undefined : index + 1), `number ${index}`);
  }

  async click(): Promise<void> {
    // What is greyed out is waited for, as a keeper would.
    const element = await this.settled((all) => {
      const [first] = all;
      if (all.length !== 1 || !first) throw new Error(`${all.length} on the page, not one: ${this.words}`);
      if (isDisabled(first)) throw new Error(`Cannot be used: ${this.words}`);
      return first;
    });
    // What has just been lit listens from the next moment on.
    await drawn();
    fireEvent.click(element);
    await drawn();
  }
  async fill(text: string): Promise<void> {
    const element = await this.one();
    fireEvent.change(element, { target: { value: text } });
    await drawn();
  }
  async focus(): Promise<void> {
    const element = await this.one();
    (element as HTMLElement).focus();
    await drawn();
  }
  async press(key: string): Promise<void> {
    const element = await this.one();
    fireEvent.keyDown(element, { key });
    await drawn();
  }
  async setInputFiles(file: File): Promise<void> {
    const element = await this.one();
    fireEvent.change(element, { target: { files: [file] } });
    await drawn();
  }
  async textContent(): Promise<string> {
    return tidy((await this.one()).textContent);
  }
  async allTextContents(): Promise<string[]> {
    return this.find().map(({ textContent }) => tidy(textContent));
  }
  async count(): Promise<number> {
    return this.find().length;
  }
  async getAttribute(name: string): Promise<string | null> {
    return (await this.one()).getAttribute(name);
  }

  /** The one element that is meant. @throws when there is none in time, or when there are several. */
  async one(): Promise<Element> {
    return this.settled((all) => {
      if (all.length !== 1) throw new Error(`${all.length} on the page, not one: ${this.words}`);
      return all[0] as Element;
    });
  }

  /** Waits until what is asked of the elements holds. */
  async settled<Result>(ask: (all: Element[]) => Result): Promise<Result> {
    try {
      return await waitFor(() => ask(this.find()), { timeout: PATIENCE_MS, interval: 20 });
    } catch (error) {
      const said = tidy(document.body.textContent).slice(0, 3000);
      throw new Error(`${error instanceof Error ? error.message : String(error)}\nThe page says: ${said}`);
    }
  }

  get said(): string {
    return this.words;
  }

  private within(find: (element: Element) => Element[], words: string): Locator {
    return new Locator(() => [...new Set(this.find().flatMap(find))], `${this.words} > ${words}`);
  }
  private of(pick: (all: Element[]) => Element[], words: string): Locator {
    return new Locator(() => pick(this.find()), `${this.words}, ${words}`);
  }
}

/** The whole page. */
export const page = new Locator(() => [document.body], 'the page');

/** What must be true of what is on the page, sooner or later. */
export function expectOn(locator: Locator, isNot = false) {
  const must = (what: string, holds: (all: Element[]) => boolean) =>
    locator.settled((all) => {
      if (holds(all) === isNot) throw new Error(`Must ${isNot ? 'not ' : ''}${what}: ${locator.said}`);
    });
  // What is not there is neither the one nor the other.
  const of = (what: string, holds: (element: Element) => boolean) =>
    must(what, ([first]) => {
      if (!first) throw new Error(`Must be there: ${locator.said}`);
      return holds(first);
    });
  return {
    toBeVisible: () => must('be there', (all) => all.length > 0),
    toHaveCount: (count: number) => must(`be there ${count} times`, (all) => all.length === count),
    toBeChecked: () =>
      of(
        'be checked',
        (element) => element.getAttribute('aria-checked') === 'true' || (element as HTMLInputElement).checked,
      ),
    toBeDisabled: () => of('be disabled', isDisabled),
    toHaveValue: (value: string) =>
      of(`have the value ${value}`, (element) => (element as HTMLInputElement).value === value),
    toHaveAttribute: (name: string, value: string) =>
      of(`have ${name} ${value}`, (element) => element.getAttribute(name) === value),
    toHaveAccessibleName: (name: Text) => of(`be called ${name}`, (element) => matches(nameOf(element), name, true)),
    toContainText: (text: Text) => of(`contain ${text}`, (element) => matches(tidy(element.textContent), text)),
  };
}
