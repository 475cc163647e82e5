import { JOB_KINDS } from '@/core/plan/jobs';
import { JOB_WORDS } from './jobKinds';
import { shippedFeeders, shippedFoods } from '@/contract/shipped';
import { SKIP_REASONS, type Job, type LeaveAlone, type Reason } from '@/core/plan/work';
import { MOULT_SIGNS } from '@/core/profiles/profile';
import { SKIP_WORDS, waitingWords } from './doing';
import { jobReason, jobTitle, leaveAloneWords } from './jobs';
import { BROKEN } from '@/ui/testing/words';
import { lengthWords } from '@/words/lengths';
import { temperatureWords } from './temperature';

const TODAY = '2026-03-14';
const names = { feeders: [...shippedFeeders], foods: [...shippedFoods] };
/** Everything that can be the reason of a job: one more does not compile without its example. */
const REASONS: { [Code in Reason['code']]: Extract<Reason, { code: Code }> } = {
  never: { code: 'never', since: '2025-12-01' },
  'since-last': { code: 'since-last', days: 1, on: '2026-03-13' },
  coming: { code: 'coming', from: '2026-04-01', until: '2026-05-10' },
  hold: { code: 'hold', to: 'cool', targetC: 10, until: '2026-04-20' },
  pair: { code: 'pair', on: '2026-04-28', targetC: 20 },
  'founding-water': { code: 'founding-water', since: '2026-02-01' },
  founding: { code: 'founding', since: '2025-12-20' },
  'quiet-over': { code: 'quiet-over', since: '2026-02-20', on: '2026-03-12', mayMoult: true },
  'after-refusal': { code: 'after-refusal', days: 9, on: '2026-03-05' },
  offered: { code: 'offered', on: '2026-03-13', at: '2026-03-13T19:40:00.000Z', entryId: 'e' },
  dries: { code: 'dries', by: 'weighed', since: '2026-02-01', dampWetness: 0.312, dampWetnessMin: 0.4 },
  'dry-air': { code: 'dry-air', humidityPct: 43.6, minPct: 60, hours: 51 },
  alarms: {
    code: 'alarms',
    alarms: (['too-dry', 'too-damp', 'too-cold', 'too-warm', 'silent', 'stuck'] as const).map((kind) => ({
      ...{
        kind,
        hours: 9.4,
        value: 21.26,
        limit: 24,
        since: 0,
        probeId: 'p',
        probe: 'Probe 3',
      },
    })),
  },
  rest: { code: 'rest', plannedOn: '2026-03-10', lateDays: 4 },
  'home-fails': { code: 'home-fails', rules: ['gap', 'floor'] },
  buried: { code: 'buried', sign: 'sealed', days: 41, since: '2026-02-01' },
  moved: { code: 'moved', on: '2026-03-02' },
  moulted: { code: 'moulted', on: '2026-03-12' },
  'no-moult': { code: 'no-moult', since: '2026-02-01', usualDays: 16.4 },
  'move-planned': { code: 'move-planned', on: '2026-03-14', until: '2027-01-04' },
  papers: { code: 'papers', title: 'Permit', expiresOn: '2026-03-20' },
};

describe('sentences', () => {
  it.each(['C', 'F'] as const)('of every job for every reason are whole (%s)', (unit) => {
    const temperature = temperatureWords(unit);
    for (const kind of JOB_KINDS) {
      for (const reason of Object.values(REASONS)) {
        const job: Job = { kind, reason, dueOn: TODAY, until: TODAY, cannotWait: false, minutes: 1 };
        const said = [
          jobTitle(job, lengthWords('mm'), names, temperature),
          jobReason(job, TODAY, [], temperature),
          JOB_WORDS[kind].done,
        ];
        expect([kind, reason.code, said.filter((each) => each === '' || BROKEN.test(each))]).toEqual([
          kind,
          reason.code,
          [],
        ]);
      }
    }
  });

  it('of what is put off, what waits, and what a sitter does are whole', () => {
    for (const why of SKIP_REASONS) expect(SKIP_WORDS[why]).toMatch(/^[A-Z]/);
    expect(waitingWords([...JOB_KINDS])).not.toMatch(BROKEN);
    expect(waitingWords(['water'])).toBe('');
    for (const { task } of Object.values(JOB_WORDS)) if (task !== undefined) expect(task).toMatch(/^[A-Z]/);
  });

  it('of why one is left alone say until when', () => {
    const premoult: LeaveAlone = {
      ...{ code: 'premoult', signs: [...MOULT_SIGNS], since: '2026-03-01', premoultPct: 83.4, endsOn: '2026-04-09' },
    };
    const every: LeaveAlone[] = [
      premoult,
      { ...premoult, premoultPct: null },
      { code: 'founding', since: '2025-12-20', endsOn: null },
      { code: 'founding', since: '2025-12-20', endsOn: '2026-04-09' },
      { code: 'hardening', feedFrom: '2026-03-20' },
      { code: 'resting', since: '2025-11-01', endsOn: '2026-03-28' },
    ];
    const said = every.map((each) => leaveAloneWords(each, TODAY));
    expect(said.filter((each) => BROKEN.test(each))).toEqual([]);
    expect(said[0]).toContain('83 % a moult is close, food again 9 Apr');
    expect(said[1]).not.toContain('%');
    expect(said[3]).toContain('first workers by about 9 Apr');
    expect(said.slice(4)).toEqual(['hardening, food from 20 Mar', 'winter rest since 1 Nov 2025, over about 28 Mar']);
  });
});
