import { useState } from 'react';
import { View } from 'react-native';
import { v4 as newId } from 'uuid';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import type { Resident } from '@/contract/records';
import { gramsPerCutting } from '@/core/feeding/leaves';
import { whyNotFor, type Dish, type Meal } from '@/core/feeding/food';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { Heading, Soft } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';
import { useTyped } from '../forms/useTyped';
import { DayField, useDay } from '../residents/DayField';
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

/** A meal that the round did not propose: another food, another day. */
export function MealForm({ resident, meal }: { resident: Resident; meal: Meal }) {
  const names = useNames();
  const foods = useHouse((house) => house.foods);
  const writeMany = useLog((log) => log.writeMany);
  const isQuiet = useQuiet(resident.id) !== null;
  const [food, setFood] = useState(meal.dishes[0]?.food ?? '');
  const [outcome, setOutcome] = useState<(typeof OUTCOMES)[number]['value']>('left');
  const amount = useTyped();
  const day = useDay();
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
  const save = async () => {
    const value = numberIn(amount.text);
    const isWhole = isPieces || isCuttings;
    if (value === undefined || value <= 0 || (isWhole && !Number.isInteger(value))) {
      amount.refuse(isWhole ? 'How many, as a whole number from 1 up.' : 'Grams as a number over 0, for example 2.5.');
      return;
    }
    if (food === '') return amount.refuse('Choose a food first.');
    if (!asked.mayDo()) return;
    const massG = plant ? value * gramsPerCutting(plant) : value;
    const dish: Dish = isPieces ? { food, count: value } : { food, massG, ...(plant && { count: value }) };
    const id = newId();
    const entries: NewEntry[] = [
      { kind: 'offered', residentId: resident.id, id, dishes: [dish], ...day.field, ...(isQuiet && { insist: true }) },
    ];
    if (outcome !== 'left') {
      entries.push({ kind: outcome, residentId: resident.id, answers: `meal ${id}`, ...day.field });
    }
    const isWritten = await writeMany(entries, `${calledWords(resident)}: ${dishWords(names, dish)}, ${outcome}.`);
    // A second tap would be a second meal.
    if (isWritten) amount.field.onChange('');
  };
  return (
    <View style={{ marginTop: space.xl, gap: space.m }}>
      <Heading>Another meal</Heading>
      <DayField day={day} />
      <Choices label="What it was given" choices={choices} value={food} onChange={setFood} />
      <Field
        label={isPieces ? 'How many' : isCuttings ? 'How many cuttings' : 'How much, g'}
        {...amount.field}
        keyboard="decimal-pad"
      />
      {isPrey ? <Choices label="What came of it" choices={OUTCOMES} value={outcome} onChange={setOutcome} /> : null}
      {asked.isAsked ? (
        <Soft>
          {`It is to be left alone now${isPrey ? ': prey can hurt it' : ''}. Tap once more to write it down all the same; it is marked.`}
        </Soft>
      ) : null}
      <Button title={asked.isAsked ? 'Write down all the same' : 'Write down the meal'} onPress={() => void save()} />
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
