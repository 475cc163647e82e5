import { profileOf } from '@/contract/testing/profileOf';
import { ago, entry, fed, kinds, TODAY, work } from '@/contract/testing/spiderToday';

describe('work that is asked for now and then', () => {
  const group = { profile: profileOf('stick-insect'), legSpanMm: undefined, bodyLengthMm: 80, headCount: 8 };

  it('counts groups and never singles; weighs those that were ever weighed; turns the soil of snails weekly', () => {
    expect(kinds([entry('counted', 40)], { ...group, form: 'group' })).toContain('census');
    expect(kinds([entry('counted', 10)], { ...group, form: 'group' })).not.toContain('census');
    expect(kinds([], { form: 'single' })).not.toContain('census');
    expect(kinds([entry('weighed', 70)], { form: 'single' })).toContain('weigh');
    expect(kinds([], { form: 'single' })).not.toContain('weigh');
    const snail = { profile: profileOf('land-snail'), legSpanMm: undefined, bodyLengthMm: 30 };
    expect(kinds([entry('turned', 7)], snail)).toContain('turn');
    expect(kinds([entry('turned', 6)], snail)).not.toContain('turn');
  });

  it('never presses, however late: a count that is overdue harms nobody', () => {
    const job = work([], { ...group, form: 'group', log: [entry('taken-in', 400)] }).jobs.find(
      (each) => each.kind === 'census',
    );
    expect(job?.cannotWait).toBe(false);
    expect((job?.until ?? '') < TODAY).toBe(true);
  });

  it('asks for the size once after a moult that was written down without, and for the label after a move', () => {
    const moulted = [...fed(30), entry('moulted', 20)];
    expect(kinds(moulted, { form: 'single' })).toContain('measure');
    expect(kinds([...moulted, entry('measured', 5, { hasSize: true })], { form: 'single' })).not.toContain('measure');
    const today = entry('measured', 0, { hasSize: true });
    const done = work([...moulted, today], { form: 'single' }).jobs.find((each) => each.kind === 'measure');
    expect(done?.doneBy).toBe(today.id);
    expect(kinds([...fed(1), entry('moved', 2)])).toContain('label');
    expect(kinds([...fed(1), entry('moved', 2), entry('labelled', 1)])).not.toContain('label');
  });

  it('looks for one that is under ground after a month, and again two weeks later', () => {
    const buried = (ago: number) => entry('sign', ago, { sign: 'buried' });
    expect(kinds([buried(29)])).not.toContain('check-buried');
    expect(kinds([buried(31)])).toContain('check-buried');
    expect(kinds([buried(50), entry('looked', 10)])).not.toContain('check-buried');
    expect(kinds([buried(50), entry('looked', 14)])).toContain('check-buried');
  });

  it('changes the battery of a probe before its year is over', () => {
    const since = (days: number) => ({ log: [entry('taken-in', 500), entry('battery', days)] });
    expect(kinds([], { ...since(300), batterySince: ago(500) })).toContain('battery');
    expect(kinds([], { ...since(299), batterySince: ago(500) })).not.toContain('battery');
    expect(kinds([], { batterySince: ago(300) })).toContain('battery');
    expect(kinds([], { batterySince: ago(299) })).not.toContain('battery');
    // Another home has another probe: moving in changes no battery.
    expect(kinds([entry('moved', 20)], { batterySince: ago(300) })).toContain('battery');
    // The probe hangs in the box: one that is left alone is not disturbed for it.
    const dark = work([entry('sign', 2, { sign: 'dark' })], { batterySince: ago(300) });
    expect(dark.waiting).toContain('battery');
    expect(kinds([], since(300))).not.toContain('battery');
  });

  it('asks for a settled move on its day, and holds it and all handling while the animal is left alone', () => {
    const move = { id: 'm', toHomeId: 'h', toCode: 'N3', on: TODAY, from: ago(2), until: ago(-5) };
    expect(kinds([], { move })).toContain('move');
    expect(kinds([], { move: { ...move, on: ago(-1) } })).not.toContain('move');
    const soft = work([...fed(40), entry('moulted', 3, { hasSize: true }), entry('weighed', 70)], {
      move,
      form: 'single',
    });
    expect(soft.leaveAlone).toMatchObject({ code: 'hardening' });
    expect(soft.jobs.map((job) => job.kind)).not.toContain('move');
    expect(soft.waiting).toEqual(expect.arrayContaining(['feed', 'weigh', 'move']));
  });

  it('put off is shown that day, gone until its day, and asked for again then', () => {
    const off = (daysAgo: number, untilAgo: number) =>
      entry('skipped', daysAgo, { skip: { job: 'feed', until: ago(untilAgo), why: 'asleep' } });
    const today = off(0, -2);
    expect(work([...fed(20), today]).jobs.find((job) => job.kind === 'feed')?.skipped).toEqual({
      ...{ entryId: today.id, until: ago(-2), why: 'asleep' },
    });
    expect(kinds([...fed(20), off(1, -2)])).not.toContain('feed');
    expect(kinds([...fed(20), off(2, 0)])).toContain('feed');
  });

  it('asks for papers from sixty days before they end, and no more once they were written down anew', () => {
    const paper = (ago: number, expiresOn: string | null) =>
      entry('paper', ago, { paper: { title: 'Permit', expiresOn } });
    const due = (log: ReturnType<typeof paper>[]) => work(log).jobs.find((job) => job.kind === 'papers');
    expect(due([paper(300, ago(-61))])).toBeUndefined();
    expect(due([paper(300, ago(-60))])).toMatchObject({ dueOn: TODAY, until: ago(-60), cannotWait: false });
    expect(due([paper(300, ago(1))])).toMatchObject({ cannotWait: true });
    expect(due([paper(300, ago(1)), paper(2, ago(-400))])).toBeUndefined();
    expect(due([paper(300, ago(1)), paper(2, null)])).toBeUndefined();
    // Of several papers those that end first come first.
    const both = [paper(300, ago(-30)), entry('paper', 200, { paper: { title: 'CITES', expiresOn: ago(-10) } })];
    expect(due(both)?.reason).toEqual({ code: 'papers', title: 'CITES', expiresOn: ago(-10) });
  });
});
