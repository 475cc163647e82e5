import type { FieldValues } from 'react-hook-form';
import type { KeyboardTypeOptions } from 'react-native';
import { Field, type Steps } from '../kit/Field';
import { AskedField, type AskedFieldProps } from './AskedField';

interface Props<Values extends FieldValues> extends AskedFieldProps<Values> {
  hint?: string | undefined;
  keyboard?: KeyboardTypeOptions;
  /** So many lines are shown; one if left out. */
  lines?: number;
  steps?: Steps;
  isSecret?: 'current-password' | 'new-password' | 'one-time-code';
  fills?: 'username';
  onSubmit?: () => void;
}

/** A field to write in, with its problem under it. */
export function FormField<Values extends FieldValues>({
  hint,
  keyboard,
  lines,
  steps,
  isSecret,
  fills,
  onSubmit,
  ...asked
}: Props<Values>) {
  return (
    <AskedField {...asked}>
      {(field, problem) => (
        <Field
          label={asked.label}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          onBlur={field.onBlur}
          inputRef={field.ref}
          problem={problem}
          hint={hint}
          {...{ isSecret, fills, onSubmit }}
          {...(keyboard && { keyboard })}
          {...(lines !== undefined && { lines })}
          {...(steps && { steps, keyboard: 'number-pad' as const })}
        />
      )}
    </AskedField>
  );
}
