import type { StillnessGuide } from '@/core/growth/stillness';
import { daysBetween, type Day } from '@/core/measure/day';
import type { CompanyCase, FitCase, StillCase, WaterCase } from '@/core/training/cases';
import { COMPANY_TITLES, companyReason } from '@/words/company';

/*
 * Why a case has the answer that it has, in sentences with the numbers of its engine.
 */

export function stillWhy({ daysStill, answer, seen }: StillCase, guide: StillnessGuide): string[] {
  const told = seen.map((id) => {
    const finding = guide.findings.find((each) => each.id === id);
    const times = finding?.times ?? 1;
    return times >= 1
      ? `“${finding?.title}” is seen ${number(times)} times as often on a dead one.`
      : `“${finding?.title}” is seen ${number(1 / times)} times as often on a living one.`;
  });
  return [
    `By ${daysStill} days alone it would be dead with ${number(answer.byDaysPct)} %: half of the living lie still for ${guide.usualDays} days, some for ${guide.longestDays}.`,
    ...told,
    `Together: dead with ${number(answer.deadPct)} %.`,
    ...(answer.verdict === 'dead'
      ? []
      : [`Look again in ${answer.lookAgainInDays} days. ${guide.notToDo[0] ?? ''}`.trim()]),
  ];
}

export function waterWhy({ wetness, wetnessMin, wetnessKept, waterMl, dueOn, right }: WaterCase, today: Day): string[] {
  const felt = `The damp end holds ${percent(wetness)} of all it could; it is damped again under ${percent(wetnessMin)}, and kept at ${percent(wetnessKept)} when fresh.`;
  switch (right) {
    case 'damp-now':
      return [felt, `It takes about ${Math.round(waterMl)} ml.`];
    case 'let-dry':
      return [felt, 'Wetter than freshly damped: nothing is poured, and more air helps.'];
    case 'wait':
      return [
        felt,
        dueOn === null ? 'It holds for months yet.' : `By its drying it is due in ${daysBetween(today, dueOn)} days.`,
      ];
  }
}

export function fitWhy({ answer, right }: FitCase): string[] {
  const telling = answer.checks.filter(({ status }) => status === right);
  if (right === 'pass') return [`All ${telling.length} rules of its home pass.`];
  return telling.map(({ title, grounds }) => `${title}. ${grounds.why}`);
}

export function companyWhy({ answer }: CompanyCase): string[] {
  if (answer.checks.length === 0) return ['Nothing that is known of them speaks against it.'];
  return answer.checks.map((check) => `${COMPANY_TITLES[check.rule]}: ${companyReason(check)}`);
}

const number = (value: number) => (value >= 10 ? String(Math.round(value)) : value.toFixed(value >= 1 ? 1 : 2));
const percent = (share: number) => `${Math.round(100 * share)} %`;
