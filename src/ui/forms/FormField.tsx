import { Controller, type Control, type FieldPath, type FieldValues, type RegisterOptions } from 'react-hook-form';
import type { KeyboardTypeOptions } from 'react-native';
import { Field } from '../kit/Field';

interface Props<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPath<Values>;
  label: string;
  hint?: string | undefined;
  keyboard?: KeyboardTypeOptions;
  /** A sentence that says what would be right, or true. */
  check?: (value: string) => string | true;
}

/** A field of a form, with its problem under it. */
export function FormField<Values extends FieldValues>({ control, name, label, hint, keyboard, check }: Props<Values>) {
  const rules = check
    ? ({ validate: (value: string) => check(value) } as RegisterOptions<Values, FieldPath<Values>>)
    : {};
  return (
    <Controller
      control={control}
      name={name}
      rules={rules as never}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          onBlur={field.onBlur}
          inputRef={field.ref}
          problem={fieldState.error?.message}
          hint={hint}
          {...(keyboard && { keyboard })}
        />
      )}
    />
  );
}
