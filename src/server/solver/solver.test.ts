import { log } from '../log';
import loadHighs from 'highs';
import { sharedSolver } from './highs';
import { solveProgramme } from './solveProgramme.cjs';

/** Small enough to be solved in the head: everything but one way at a price of 1 is free. Presolve of HiGHS 1.15.1 loses it. */
const LOST_IN_PRESOLVE = `Minimize
 obj: + 1 p0_3 + 1 p0_1 + 0 y0_1 + 0 s0 + 1 p1_0 + 1 p1_1 + 0 y1_0 + 0.2 y1_2 + 0 s1 + 0 s2 + 1 p3_3 + 1 p3_0 + 0 y3_0 + 0.1 y3_1 + 0.2 y3_2 + 40 s3
Subject To
 c0: p0_3 + p0_1 + s0 = 1
 c1: y0_1 + s0 = 1
 c2: p1_0 + p1_1 + s1 = 1
 c3: y1_0 + y1_2 + s1 = 1
 c4: s2 = 1
 c5: p3_3 + p3_0 + s3 = 1
 c6: y3_0 + y3_1 + y3_2 + s3 = 1
 c7: p1_0 + p3_0 <= 1
 c8: p0_1 + p1_1 <= 1
 c9: p0_3 + p3_3 <= 1
 c10: p0_3 + s3 <= 1
 c11: p0_3 + y0_1 - y3_0 <= 1
 c12: p0_1 + s1 <= 1
 c13: p0_1 + y0_1 - y1_0 <= 1
 c14: p1_0 + s0 <= 1
 c15: p1_0 + y1_0 <= 1
 c16: p3_0 + s0 <= 1
 c17: p3_0 + y3_0 <= 1
 c18: p3_0 + y3_0 + y3_1 <= 1
Binary
 p0_3 p0_1 y0_1 s0 p1_0 p1_1 y1_0 y1_2 s1 s2 p3_3 p3_0 y3_0 y3_1 y3_2 s3
End
`;
const ON = ['s0', 's1', 's2', 'p3_3', 'y3_0'];

const ask = (lp: string) => ({ lp, start: [], timeLimitS: 5, gap: 0 });

describe('HiGHS', () => {
  it('is asked again without presolve where presolve loses the way', async () => {
    const highs = await loadHighs();
    expect(() => highs.solve(LOST_IN_PRESOLVE, { output_flag: false })).toThrow('HiGHS error');
    const solved = solveProgramme(highs, ask(LOST_IN_PRESOLVE));
    const names = / obj:(.*)/.exec(LOST_IN_PRESOLVE)?.[1]?.match(/[psy]\d\w*/g) ?? [];
    expect(names.filter((_, index) => (solved?.values[index] ?? 0) > 0.5)).toEqual(ON);
    expect(solved).toMatchObject({ isOptimal: true, bound: 1 });
  });

  it('in its thread tells what it cannot read, has found nothing, and goes on answering', async () => {
    const told = jest.spyOn(log, 'error').mockImplementation(() => undefined);
    const solve = sharedSolver();
    expect(await solve(ask('Minimize nothing that is a programme'))).toBeNull();
    expect(told).toHaveBeenCalledWith(expect.stringMatching(/^The solver refused the problem: /));
    told.mockRestore();
    expect((await solve(ask(LOST_IN_PRESOLVE)))?.bound).toBe(1);
  });
});
