import { useForm, useWatch, type DefaultValues, type FieldPath, type FieldValues } from 'react-hook-form';
import { CallFailed } from '@/client/api';
import type { FieldMessage } from '@/contract/errors';
import { problemOf } from '@/client/house';
import { BODY_MEASURES } from '@/core/profiles/profile';
import { refusedFields } from '@/contract/refusedFields';
import { labelsOf } from './labels';

/**
 * The fields of one form, and what is wrong with them. The server reads by the schemas of the contract and names the field it
 * refuses; `place` puts that at the field of the same name, or of the name that `named` gives. Where a page is dear to draw, it
 * watches those fields alone that it needs.
 */
export function useUnwatchedFields<Values extends FieldValues>(
  start: DefaultValues<Values>,
  named: (path: string, values: Values) => string = lastPart,
) {
  const form = useForm<Values>({ defaultValues: start, mode: 'onTouched' });
  const place = (error: unknown) => {
    const labels = labelsOf(form.control);
    const beside = (message: string) => form.setError('root.server', { message });
    const fields = error instanceof CallFailed ? error.fields : [];
    const nameOf = ({ path }: FieldMessage) => named(path, form.getValues());
    const known = fields.filter((field) => labels.has(nameOf(field)));
    for (const field of known) form.setError(nameOf(field) as FieldPath<Values>, { message: field.message });
    if (known.length === 0 || !(error instanceof CallFailed)) return beside(problemOf(error));
    // What no field of this form can show, and why it cannot be where that is more than a count of fields.
    const reason = error.message === refusedFields(fields.length) ? [] : [error.message];
    const others = fields.filter((field) => !known.includes(field)).map(({ message }) => message);
    if (reason.length + others.length > 0) beside([...reason, ...others].join(' '));
  };
  return { ...form, place };
}

/** The fields of one form with what is typed in them. */
export function useFields<Values extends FieldValues>(...asked: Parameters<typeof useUnwatchedFields<Values>>) {
  const form = useUnwatchedFields<Values>(...asked);
  return { ...form, values: useWatch({ control: form.control }) as Values };
}
export type Fields<Values extends FieldValues> = ReturnType<typeof useUnwatchedFields<Values>>;

const lastPart = (path: string): string => path.split('.').at(-1) ?? path;

/** What a body is measured by is asked for in one field, `size`, whatever the measure is called. */
export const sizeField = (path: string): string =>
  (BODY_MEASURES as readonly string[]).includes(path) ? 'size' : lastPart(path);
