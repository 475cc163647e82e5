import { Controller, type Control } from 'react-hook-form';
import { Choices } from '../kit/Choices';
import { FormField } from '../forms/FormField';
import { headCountIn } from '../forms/checks';
import { Heading } from '../components/Words';
import { ANTS, instarsIn, type Ants, type TakeInValues } from './values';

const SURELY = [
  { value: 'counted', title: 'Counted' },
  { value: 'about', title: 'About so many' },
] as const;

interface Props {
  control: Control<TakeInValues>;
  isEggs: boolean;
  isAnt: boolean;
  /** What of ants comes home; undefined until it was said. */
  ants: Ants | undefined;
  onAnts: (ants: Ants) => void;
  /** Young that moult side by side can be told by their instars. */
  hasInstars: boolean;
}

/** How many come home: of ants with or without a queen, of cultures about so many, of batches by instars. */
export function HeadFields({ control, isEggs, isAnt, ants, onAnts, hasInstars }: Props) {
  const isNeeded = ants === 'colony' || ants === 'queenless';
  return (
    <>
      {!isAnt ? null : (
        <>
          <Heading>What comes home</Heading>
          <Choices isNamedAbove label="What comes home" choices={ANTS} value={ants} onChange={onAnts} />
        </>
      )}
      {isAnt && !isNeeded ? null : (
        <>
          <FormField
            control={control}
            name="headCount"
            label={isEggs ? 'How many eggs' : isAnt ? 'How many workers' : 'How many'}
            hint={isNeeded ? 'About so many will do.' : 'Leave empty if nobody counted.'}
            keyboard="number-pad"
            check={(text) =>
              (text.trim() === '' && !isNeeded) ||
              headCountIn(text) !== undefined ||
              'A whole number from 1 to 1000000.'
            }
          />
          <Controller
            control={control}
            name="headsAbout"
            render={({ field }) => (
              <Choices label="How surely" choices={SURELY} value={field.value} onChange={field.onChange} />
            )}
          />
        </>
      )}
      {hasInstars && !isEggs ? (
        <FormField
          control={control}
          name="instars"
          label="How many in which instar, if you know"
          hint="As instar: how many. For example 1: 4, 2: 9."
          check={(text) => instarsIn(text) !== null || 'As instar: how many, with commas between: 1: 4, 2: 9.'}
        />
      ) : null}
    </>
  );
}
