import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { FeedingHistoryReply } from '@/contract/feedingHistory';
import type { Meal } from '@/core/feeding/food';
import type { Resident } from '@/contract/records';
import { MealBars } from '../charts/MealBars';
import { Fold } from '../kit/Fold';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { ForbiddenFoods } from '../feeding/ForbiddenFoods';
import { MealForm } from '../feeding/MealForm';
import { Plants } from '../feeding/Plants';
import { Cautions } from './Cautions';
import { space } from '../theme/tokens';
import { countWords } from '@/words/count';
import { daysWords } from '@/words/days';
import { cautionsWords, feedingGroundWords, gramsWords, mealTitle } from '@/words/food';
import { bareWords } from '@/words/plants';
import { useLength } from '@/words/useLength';
import { useNames } from '@/words/useNames';
import { Waiting } from '../kit/Waiting';

/** How one resident is fed: what comes next and why, what it took so far, and what it is never given. */
export function FoodTab({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  // The house is loaded anew after every entry.
  const { answer, problem, again } = useCall(round, () => call('feedingHistory', { params: { id: resident.id } }));
  return (
    <View>
      {answer && problem === undefined ? null : <Waiting {...{ problem, again }}>Working out its next meal…</Waiting>}
      {answer ? <NextMeal meal={answer.next} /> : null}
      {answer ? <Eaten answer={answer} resident={resident} /> : null}
      {answer || problem !== undefined ? (
        <>
          <Cautions who={resident} before="open" />
          {answer?.next ? <MealForm resident={resident} meal={answer.next} /> : null}
          <Plants resident={resident} />
          <ForbiddenFoods resident={resident} />
        </>
      ) : null}
    </View>
  );
}

function NextMeal({ meal }: { meal: Meal | null }) {
  const today = useHouse((house) => house.round?.on ?? '');
  const names = useNames();
  const length = useLength();
  if (!meal) return <Body style={{ marginTop: space.l }}>It is not fed in this stage.</Body>;
  const days = Math.max(1, Math.round(meal.everyDays));
  const bare = bareWords(names, meal, today);
  return (
    <View style={{ marginTop: space.l, gap: space.xs }}>
      <Heading>Next meal</Heading>
      <Strong>{mealTitle(names, meal, length)}</Strong>
      <Body>{`Every ${days === 1 ? 'day' : daysWords(days)}.`}</Body>
      {bare === null ? null : <Body>{bare}</Body>}
      {meal.cautions.length > 0 ? <Body>{`Mind: ${cautionsWords(meal.cautions)}.`}</Body> : null}
      <Fold title="What this rests on">
        {meal.grounds.map((ground) => (
          <Soft key={ground.rule}>{feedingGroundWords(ground)}</Soft>
        ))}
        <Soft>The school is chosen under Care, “Kept as”, for this one, its kind or its room.</Soft>
      </Fold>
    </View>
  );
}

/** What it was offered, took and refused, and what became of that. */
function Eaten({ answer, resident }: { answer: FeedingHistoryReply; resident: Resident }) {
  const { weeks, weighings, gainedG, convertedPct } = answer;
  const sum = (of: (week: (typeof weeks)[number]) => number) => weeks.reduce((total, week) => total + of(week), 0);
  const [offered, taken, refused, takenG] = [
    sum((week) => week.offered),
    sum((week) => week.taken),
    sum((week) => week.refused),
    sum((week) => week.takenG),
  ];
  const isGrazing = answer.next?.eats === 'leaves';
  const time = countWords(weeks.length, 'week');
  const counts = isGrazing
    ? `Leaves changed ${countWords(offered, 'time')} in ${time}`
    : `${offered} offered, ${taken} taken, ${refused} refused in ${time}`;
  const isEmpty = offered === 0 && weighings.length === 0;
  const { condition } = weighings.at(-1) ?? {};
  const looks = resident.condition === undefined ? '' : ` It looked ${resident.condition} when last said.`;
  return (
    <View style={{ marginTop: space.xl, gap: space.xs }}>
      <Heading>{isGrazing ? 'Fresh leaves' : 'Taken and refused'}</Heading>
      <Body>{`${counts}.`}</Body>
      {isEmpty ? null : <MealBars label={`Meals a week: ${counts}`} weeks={weeks} weighings={weighings} />}
      {isGrazing || isEmpty ? null : (
        <Soft>Filled: taken. Outline: nobody looked after. Hatched, below: refused. Dashed: its weight.</Soft>
      )}
      {takenG > 0 ? <Body>{`Eaten in that time: about ${gramsWords(takenG)}.`}</Body> : null}
      {condition === undefined || condition === null ? (
        <Soft>{`Weigh it now and then: its condition is read off weight against length.${looks}`}</Soft>
      ) : (
        <Body>{`Condition: ${Math.round(100 * condition)} % of the usual weight for its length.${looks}`}</Body>
      )}
      {gainedG === null ? null : (
        <Body>
          {`${gainedG >= 0 ? 'Gained' : 'Lost'} ${gramsWords(Math.abs(gainedG))} between its first and last weighing` +
            `${convertedPct === null ? '' : `, ${Math.round(convertedPct)} % of what it took`}.`}
        </Body>
      )}
    </View>
  );
}
