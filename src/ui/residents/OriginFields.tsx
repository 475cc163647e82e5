import type { Control, FieldPath, FieldValues } from 'react-hook-form';
import { FormField } from '../forms/FormField';

/** Where an animal came from, and its papers. */
interface Origin {
  source: string;
  batch: string;
  permit: string;
}

export function OriginFields<Values extends Origin & FieldValues>({ control }: { control: Control<Values> }) {
  const name = (each: keyof Origin) => each as FieldPath<Values>;
  return (
    <>
      <FormField control={control} name={name('source')} label="Where it came from" />
      <FormField
        control={control}
        name={name('batch')}
        label="Batch"
        hint="Those of one batch are siblings: the forecast learns from them."
      />
      <FormField control={control} name={name('permit')} label="Permit, if one is needed" />
    </>
  );
}
