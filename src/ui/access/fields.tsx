import type { FieldPath, FieldValues } from 'react-hook-form';
import type { Control } from 'react-hook-form';
import { FormField } from '../forms/FormField';

interface Props<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPath<Values>;
}

export function NameField<Values extends FieldValues>(props: Props<Values>) {
  return <FormField {...props} label="Your name" fills="username" />;
}

/** A password to be chosen. */
export function NewPasswordField<Values extends FieldValues>({
  label = 'A password',
  more = '',
  ...props
}: Props<Values> & { label?: string; more?: string }) {
  return (
    <FormField
      {...props}
      label={label}
      isSecret="new-password"
      hint={`At least ten letters: a few words will do.${more}`}
    />
  );
}

/** Digits that open a page that is locked. */
export function PinField<Values extends FieldValues>({
  hint,
  onSubmit,
  ...props
}: Props<Values> & { hint?: string; onSubmit?: () => void }) {
  return (
    <FormField
      {...props}
      label="PIN"
      keyboard="number-pad"
      isSecret="one-time-code"
      {...(hint !== undefined && { hint })}
      {...(onSubmit && { onSubmit })}
    />
  );
}
