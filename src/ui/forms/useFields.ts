import { useForm, useWatch, type DefaultValues, type FieldPath, type FieldValues } from 'react-hook-form';
import { CallFailed } from '@/client/api';
import { problemOf } from '@/client/house';
import { BODY_MEASURES } from '@/core/profiles/profile';
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
    const fields = (error instanceof CallFailed ? error.fields : []).map(({ path, message }) => ({
      name: named(path, form.getValues()),
      message,
    }));
    const known = fields.filter(({ name }) => labels.has(name));
    for (const { name, message } of known) form.setError(name as FieldPath<Values>, { message });
    // Why it cannot be is said once, beside the act, where it is more than a count of fields.
    const isCount = error instanceof CallFailed && /^\w+ fields? needs? (an)?other values?\.$/.test(error.message);
    if (known.length === 0) form.setError('root.server', { message: problemOf(error) });
    else if (error instanceof CallFailed && !isCount) form.setError('root.server', { message: error.message });
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
