import { View } from 'react-native';
import { v4 as newId } from 'uuid';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import type { Resident } from '@/contract/records';
import { gramsPerCutting } from '@/core/feeding/cuttings';
import { whyNotFor, type Dish, type Meal } from '@/core/feeding/food';
import { Heading, Soft } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { useAskedOnce } from '../components/useAskedOnce';
import { useQuiet } from '../residents/QuietPanel';
import { space } from '../theme/tokens';
import { dishWords, itemName } from '@/words/food';
import { calledWords } from '@/words/residents';
import { useNames } from '@/words/useNames';

const OUTCOMES = [
  { value: 'left', title: 'left in' },
  { value: 'eaten', title: 'taken' },
  { value: 'refused', title: 'refused' },
] as const;

interface Values {
  on: string;
  food: string;
  amount: string;
  outcome: (typeof OUTCOMES)[number]['value'];
}

/** A meal that the round did not propose: another food, another day. */
export function MealForm({ resident, meal }: { resident: Resident; meal: Meal }) {
  const names = useNames();
  const foods = useHouse((house) => house.foods);
  const writeMany = useLog((log) => log.writeMany);
  const isQuiet = useQuiet(resident.id) !== null;
  const form = useFields<Values>({ on: TODAY, food: meal.dishes[0]?.food ?? '', amount: '', outcome: 'left' });
  const { control } = form;
  const { food } = form.values;
  const isPrey = meal.eats === 'prey';
  const longestMm = isPrey ? (meal.maxLengthMm ?? Infinity) : LARGEST_FOR_COLONIES_MM;
  const isPieces = isPrey || names.feeders.some((kind) => kind.classes.some((each) => each.id === food));
  const plant = foods.find((each) => each.id === food && each.kind === 'leaf');
  const isCuttings = plant !== undefined;
  const asked = useAskedOnce(isQuiet, food);
  const profile = useHouse((house) => house.care).of(resident);
  // What its kind never gets is not offered here; what its keepers forbade is, and refused with their reason.
  const fitting = foods.filter(
    (each) => FITTING[meal.eats].includes(each.kind) && whyNotFor(each, profile, resident.schools) === undefined,
  );
  const prey = names.feeders.flatMap((kind) =>
    kind.classes.filter((each) => each.isFood && each.lengthMm <= longestMm),
  );
  const choices = [...(isPrey || meal.eats === 'colony-food' ? prey : []), ...fitting].map(({ id }) => ({
    value: id,
    title: itemName(names, id),
  }));
  const isWhole = isPieces || isCuttings;
  const amountCheck = (text: string) => {
    const value = numberIn(text);
    if (value === undefined || value <= 0 || (isWhole && !Number.isInteger(value))) {
      return isWhole ? 'How many, as a whole number from 1 up.' : 'Grams as a number over 0, for example 2.5.';
    }
    return food !== '' || 'Choose a food first.';
  };
  const save = async ({ on, outcome, amount }: Values) => {
    const value = numberIn(amount) ?? 0;
    if (!asked.mayDo()) return;
    const massG = plant ? value * gramsPerCutting(plant) : value;
    const dish: Dish = isPieces ? { food, count: value } : { food, massG, ...(plant && { count: value }) };
    const id = newId();
    const entries: NewEntry[] = [
      { kind: 'offered', residentId: resident.id, id, dishes: [dish], ...onDay(on), ...(isQuiet && { insist: true }) },
    ];
    if (outcome !== 'left') {
      entries.push({ kind: outcome, residentId: resident.id, answers: `meal ${id}`, ...onDay(on) });
    }
    const isWritten = await writeMany(entries, `${calledWords(resident)}: ${dishWords(names, dish)}, ${outcome}.`);
    // A second tap would be a second meal.
    if (isWritten) form.resetField('amount');
  };
  return (
    <View style={{ marginTop: space.xl, gap: space.m }}>
      <Heading>Another meal</Heading>
      <Form form={form} act={asked.isAsked ? 'Write down all the same' : 'Write down the meal'} save={save}>
        <When control={control} />
        <FormChoices control={control} name="food" label="What it was given" choices={choices} />
        <FormField
          control={control}
          name="amount"
          label={isPieces ? 'How many' : isCuttings ? 'How many cuttings' : 'How much, g'}
          check={amountCheck}
          keyboard="decimal-pad"
          {...(isWhole && { steps: { least: 1, most: 1000 } })}
        />
        {isPrey ? <FormChoices control={control} name="outcome" label="What came of it" choices={OUTCOMES} /> : null}
        {asked.isAsked ? (
          <Soft>
            {`It is to be left alone now${isPrey ? ': prey can hurt it' : ''}. Tap once more to write it down all the same; it is marked.`}
          </Soft>
        ) : null}
      </Form>
    </View>
  );
}

/** Larger insects nobody gives to ants in one piece. */
const LARGEST_FOR_COLONIES_MM = 20;

/** Kinds of food that each way of eating takes. */
const FITTING: Record<Meal['eats'], readonly string[]> = {
  prey: [],
  leaves: ['leaf'],
  litter: ['vegetable', 'protein', 'prepared'],
  greens: ['vegetable', 'protein', 'calcium'],
  'colony-food': ['sugar', 'protein', 'leaf'],
};
