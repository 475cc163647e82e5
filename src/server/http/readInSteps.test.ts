import { z } from 'zod';
import { invalidBy } from './problem';
import { readInSteps } from './readInSteps';

const row = z.strictObject({ code: z.string().trim().min(1), mm: z.number().max(900).default(5) });
const list = z
  .strictObject({
    name: z.string(),
    part: z.object({ rows: z.array(row).max(3000, { error: 'At most 3000.' }), more: z.array(z.int()).optional() }),
  })
  .superRefine(({ part }, context) => {
    const codes = new Set(part.rows.map(({ code }) => code));
    if (codes.size < part.rows.length)
      context.addIssue({ code: 'custom', path: ['part'], message: 'One comes twice.' });
  });

const rows = (count: number) => Array.from({ length: count }, (_, index): object => ({ code: ` A${index} ` }));
const asked = (some: unknown[], rest: object = {}) => ({ name: 'x', part: { rows: some, ...rest } });

/** The same as in one go, of anything in which not both a long list and the rest are wrong. */
const CASES: [string, unknown][] = [
  ['nothing long', asked(rows(3))],
  ['a long list, trimmed and filled in', asked(rows(1000))],
  ['two long lists', asked(rows(300), { more: rows(300).map((_, index) => index) })],
  ['what may be left out wrong in one row', asked(rows(2), { more: [...rows(400).map((_, index) => index), 0.5] })],
  ['wrong rows', asked([...rows(400), { code: '' }, { code: 'B', mm: 1000 }, { code: 'C', what: 1 }, null])],
  ['the rest wrong', { ...asked(rows(400)), name: 5 }],
  ['a field too many', { ...asked(rows(400)), extra: 1 }],
  ['rows that contradict each other', asked([...rows(400), { code: 'A1' }])],
  ['no list at all', { name: 'x', part: { rows: 'A1' } }],
  ['nothing', null],
];

test.each(CASES)('reads in steps what is read in one go: %s', async (_, value) => {
  const inOneGo = list.safeParse(value);
  const read = await readInSteps(list, value);
  expect(read).toEqual(
    inOneGo.success ? { success: true, data: inOneGo.data } : { success: false, issues: inOneGo.error.issues },
  );
});

test('of a list that is too long nothing else is told, however wrong its rows are', async () => {
  const read = await readInSteps(list, asked(Array.from({ length: 3001 }, () => null)));
  expect(read).toMatchObject({ success: false, issues: [{ path: ['part', 'rows'], message: 'At most 3000.' }] });
});

test('lets others in', async () => {
  let others = 0;
  const goOn = () => {
    others += 1;
    again = setImmediate(goOn);
  };
  let again = setImmediate(goOn);
  const slow = z.array(z.int().refine((each) => spend(0.2, each)));
  await readInSteps(z.object({ slow }), { slow: Array.from({ length: 300 }, (_, index) => index) });
  clearImmediate(again);
  expect(others).toBeGreaterThan(3);
});

test('names sixty of many wrong fields, and how many there are', async () => {
  const read = await readInSteps(list, asked(Array.from({ length: 500 }, () => ({ code: '', a: 1, b: 2 }))));
  if (read.success) throw new Error('It is wrong.');
  const { message, fields } = invalidBy(read);
  expect(message).toBe('1500 fields need other values.');
  expect(fields).toHaveLength(60);
  expect(fields?.[0]).toMatchObject({ path: 'part.rows.0.code' });
});

function spend(ms: number, each: number): boolean {
  const until = performance.now() + ms;
  while (performance.now() < until);
  return each >= 0;
}
