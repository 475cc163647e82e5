import { lazy, Suspense, useState } from 'react';
import type { Day } from '@/core/measure/day';
import { IconButton } from '../components/IconButton';
import { fullDayWords } from '@/words/days';
import { InputButton } from './InputButton';

const Calendar = lazy(() => import('./Calendar'));

interface Props {
  label: string;
  /** Empty while none is chosen. */
  value: Day | '';
  onChange: (day: Day | '') => void;
  /** What stands there while none is chosen. */
  none?: string;
  /** It may be left, or made, empty. */
  isOptional?: boolean;
  min?: Day | undefined;
  max?: Day | undefined;
  problem?: string | undefined;
  hint?: string | undefined;
}

/** A day, chosen from a calendar that opens under it. */
export function DayInput(props: Props) {
  const { label, value, onChange, none = 'choose', isOptional = false, min, max, problem, hint } = props;
  const [isOpen, setOpen] = useState(false);
  return (
    <InputButton
      {...{ label, isOpen, problem, hint }}
      words={value === '' ? none : fullDayWords(value)}
      isChosen={value !== ''}
      icon="Calendar"
      onPress={() => setOpen(!isOpen)}
      beside={
        isOptional && value !== '' ? (
          <IconButton label={`No day: ${label}`} icon="X" onPress={() => onChange('')} />
        ) : null
      }
    >
      <Suspense>
        <Calendar
          value={value === '' ? undefined : value}
          min={min}
          max={max}
          onChange={(day) => {
            onChange(day);
            setOpen(false);
          }}
        />
      </Suspense>
    </InputButton>
  );
}
