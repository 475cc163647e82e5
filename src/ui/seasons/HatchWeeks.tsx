import type { Brood } from '@/contract/broods';
import { HatchBars } from '../charts/HatchBars';
import { Strong } from '../components/Words';
import { expectedWords, hatchWords } from '@/words/broods';
import { dayWords } from '@/words/days';

interface Props {
  brood: Brood;
  asOf: string;
  /** So many weeks are shown. */
  span: number;
}

/** When a batch hatches, and how many in each week; words alone where nothing goes on in it. */
export function HatchWeeks({ brood, asOf, span }: Props) {
  const { forecast } = brood;
  if (!forecast) return null;
  const isComing = !forecast.isStanding && forecast.weeks.length > 0;
  return (
    <>
      <Strong>{hatchWords(forecast, asOf)}</Strong>
      {isComing ? (
        <HatchBars
          label={`Hatching ${hatchWords(forecast, asOf)}: ${expectedWords(brood)}`}
          weeks={forecast.weeks}
          span={span}
          from={asOf}
          day={(on) => dayWords(on, asOf)}
        />
      ) : null}
    </>
  );
}
