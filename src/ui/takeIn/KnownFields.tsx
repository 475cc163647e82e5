import { Controller, useWatch, type Control } from 'react-hook-form';
import { tellingSigns } from '@/core/growth/tellingSigns';
import type { Day } from '@/core/measure/day';
import type { CareProfile, Stage } from '@/core/profiles/profile';
import { signWords } from '@/words/jobs';
import { Heading, Soft } from '../components/Words';
import { DayInput } from '../kit/DayInput';
import { ListInput } from '../kit/ListInput';
import type { TakeInValues } from './values';

/** Days from which its clocks run. */
export const KNOWN_DAYS = [
  { name: 'on', label: 'Here since', none: 'today' },
  { name: 'lastMoultOn', label: 'Last moult', none: 'not known' },
  { name: 'lastMealOn', label: 'Last meal', none: 'not known' },
  { name: 'countedOn', label: 'Last counted', none: 'the day it came' },
  { name: 'soilChangedOn', label: 'Soil changed last', none: 'when it came' },
  { name: 'bornOn', label: 'Hatched on', none: 'not known' },
] as const;
export type KnownDay = (typeof KNOWN_DAYS)[number]['name'];

interface Props {
  control: Control<TakeInValues>;
  kept: CareProfile | undefined;
  stage: Stage;
  /** Which of the days mean something for it. */
  isKnown: Record<KnownDay, boolean>;
  /** A moult of it may be near, and be seen. */
  mayMoult: boolean;
  today: Day | undefined;
}

/** What is known of a newcomer from before. */
export function KnownFields({ control, kept, stage, isKnown, mayMoult, today }: Props) {
  const sign = useWatch({ control, name: 'sign' });
  const signs = kept ? tellingSigns(kept, stage) : [];
  const dayOf = (name: KnownDay | 'signSince', label: string, none: string) => (
    <Controller
      key={name}
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <DayInput
          {...{ label, none }}
          value={field.value}
          onChange={field.onChange}
          problem={fieldState.error?.message}
          isOptional
          max={today}
        />
      )}
    />
  );
  return (
    <>
      <Heading>What is known from before</Heading>
      <Soft>Food, moults and the round are counted from these days. Leave out what nobody knows.</Soft>
      {KNOWN_DAYS.filter(({ name }) => isKnown[name]).map(({ name, label, none }) => dayOf(name, label, none))}
      {mayMoult && signs.length > 0 ? (
        <Controller
          control={control}
          name="sign"
          render={({ field }) => (
            <ListInput
              label="A sign that it will moult"
              choices={[{ value: '', title: 'none' }, ...signs.map((value) => ({ value, title: signWords(value) }))]}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      ) : null}
      {mayMoult && sign !== '' ? dayOf('signSince', 'Since when', 'today') : null}
    </>
  );
}
