import { useEffect, type ReactElement } from 'react';
import {
  Controller,
  type Control,
  type ControllerRenderProps,
  type FieldPath,
  type FieldValues,
  type RegisterOptions,
} from 'react-hook-form';
import { labelsOf } from './labels';

export interface AskedFieldProps<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPath<Values>;
  label: string;
  /** A sentence that says what would be right, or true. */
  check?: (value: string) => string | true;
}

interface Props<Values extends FieldValues> extends AskedFieldProps<Values> {
  children: (field: ControllerRenderProps<Values, FieldPath<Values>>, problem: string | undefined) => ReactElement;
}

/** One field of a form, whatever it looks like: its value, its problem, and its name for the summary. */
export function AskedField<Values extends FieldValues>({ control, name, label, check, children }: Props<Values>) {
  useEffect(() => {
    const labels = labelsOf(control);
    labels.set(name, label);
    return () => void labels.delete(name);
  }, [control, name, label]);
  const rules = check
    ? ({ validate: (value: string | undefined) => check(value ?? '') } as RegisterOptions<Values, FieldPath<Values>>)
    : {};
  return (
    <Controller
      control={control}
      name={name}
      rules={rules as never}
      render={({ field, fieldState }) => children(field, fieldState.error?.message)}
    />
  );
}
