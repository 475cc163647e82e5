import { chromium, type Page } from '@playwright/test';

/**
 * How long a keeper waits for a page, and how evenly the wall moves, in Chromium on this machine:
 * `npm run bench:pages -- http://127.0.0.1:4988 http://127.0.0.1:4989`, the first house being the baseline of the same run.
 */
const HOUSES = process.argv.slice(2);
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
/** What is tapped in the bar, and the words by which the page is known to be there. */
const TAPS = ['Residents', 'Wall', 'Seasons', 'Store', 'Round'] as const;
const TIMES = 5;

const at = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? Number.NaN;

/** From a tap until the first frame in which the page says something all over the glass, and until nothing on it has changed for 150 ms. ms */
async function opened(page: Page, label: string): Promise<{ shown: number; still: number }> {
  return page.evaluate(async (name) => {
    const link = Array.from(
      document.querySelectorAll<HTMLElement>('[aria-label=Places] [role=link], [aria-label=Places] a'),
    ).find((each) => (each.getAttribute('aria-label') ?? '').startsWith(name));
    if (!link) throw new Error(`Nothing leads to ${name}.`);
    const from = location.pathname;
    /** At a quarter, the half and three quarters of the height stands something with words, and nothing that waits. */
    const saysSomething = () =>
      document.querySelectorAll('[role=progressbar][aria-label^=Loading]').length === 0 &&
      [0.25, 0.5, 0.75].every((share) => {
        const [y, found] = [share * innerHeight, new Set<Element>()];
        for (let x = 20; x < innerWidth; x += 40)
          for (let by = -40; by <= 40; by += 20) found.add(document.elementFromPoint(x, y + by) ?? document.body);
        return [...found].some((each) => each.childElementCount === 0 && (each.textContent ?? '').trim() !== '');
      });
    const began = performance.now();
    let last = began;
    const seen = new MutationObserver(() => (last = performance.now()));
    seen.observe(document.body, { childList: true, subtree: true, characterData: true });
    link.click();
    let shown = Number.NaN;
    while (performance.now() - last < 150 || Number.isNaN(shown)) {
      await new Promise((done) => requestAnimationFrame(done));
      if (Number.isNaN(shown) && location.pathname !== from && saysSomething()) shown = performance.now() - began;
      if (performance.now() - began > 10_000) break;
    }
    seen.disconnect();
    return { shown, still: last - began };
  }, label);
}

/** The frames of the wall while it is scrolled from end to end. */
async function frames(page: Page): Promise<{ perSecond: number; longest: number; boxes: number }> {
  return page.evaluate(async () => {
    const rooms = Array.from(document.querySelectorAll<HTMLElement>('*')).filter(
      (each) => each.scrollHeight > each.clientHeight + 200 && getComputedStyle(each).overflowY !== 'visible',
    );
    const room = rooms.sort((a, b) => b.scrollHeight - a.scrollHeight)[0];
    if (!room) throw new Error('Nothing scrolls.');
    const gaps: number[] = [];
    let before = await new Promise<number>((done) => requestAnimationFrame(done));
    const began = before;
    for (let step = 0; step < 180; step++) {
      room.scrollTop += 24;
      const now = await new Promise<number>((done) => requestAnimationFrame(done));
      gaps.push(now - before);
      before = now;
    }
    return {
      perSecond: (gaps.length * 1000) / (before - began),
      longest: Math.max(...gaps),
      boxes: document.querySelectorAll('main svg, [role=main] svg').length,
    };
  });
}

async function main(): Promise<void> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  for (const house of HOUSES) {
    const phone = await browser.newPage({ viewport: PHONE });
    await phone.goto(`${house}/round`);
    await phone.getByRole('main').first().waitFor();
    await phone.waitForTimeout(4000);
    for (const label of TAPS) await opened(phone, label);
    for (const label of TAPS) {
      const seen: { shown: number; still: number }[] = [];
      for (let time = 0; time < TIMES; time++) {
        seen.push(await opened(phone, label));
        await phone.waitForTimeout(200);
        if (time < TIMES - 1) {
          await opened(phone, 'More');
          await phone.waitForTimeout(200);
        }
      }
      const [shown, still] = [seen.map((each) => each.shown), seen.map((each) => each.still)];
      console.log(
        `${house} ${label}: there after ${at(shown, 0.5).toFixed(0)} ms (worst ${Math.max(...shown).toFixed(0)}), still after ${at(still, 0.5).toFixed(0)} ms (worst ${Math.max(...still).toFixed(0)})`,
      );
    }
    await phone.close();
    const wide = await browser.newPage({ viewport: WIDE });
    await wide.goto(`${house}/homes`);
    await wide.waitForTimeout(6000);
    const wall = await frames(wide);
    console.log(
      `${house} wall: ${wall.perSecond.toFixed(0)} frames a second, longest ${wall.longest.toFixed(0)} ms, ${wall.boxes} boxes drawn`,
    );
    await wide.close();
  }
  await browser.close();
}

void main();
