import { useFormState, type Control, type FieldPath, type FieldValues, type UseFormSetFocus } from 'react-hook-form';
import { View } from 'react-native';
import { LinkRow } from '../components/LinkRow';
import { Body, Strong } from '../components/Words';
import { countWords } from '@/words/count';
import { labelsOf } from './labels';

interface Props<Values extends FieldValues> {
  form: { control: Control<Values>; setFocus: UseFormSetFocus<Values> };
}

/** What keeps a form from being saved, beside its act: each field leads there. Silent until saving was tried. */
export function Problems<Values extends FieldValues>({ form }: Props<Values>) {
  const { errors, submitCount } = useFormState({ control: form.control });
  const labels = labelsOf(form.control);
  const wrong = [...labels].filter(([name]) => at(errors, name) !== undefined);
  const server = at(errors, 'root.server')?.message;
  if (submitCount === 0 || (wrong.length === 0 && server === undefined)) return null;
  return (
    <View role="alert">
      {server === undefined ? null : <Body>{server}</Body>}
      {wrong.length === 0 ? null : (
        <>
          <Strong>{`${countWords(wrong.length, 'field')} to put right`}</Strong>
          <LinkRow
            links={wrong.map(([name, label]) => ({
              title: `Go to “${label}”`,
              onPress: () => form.setFocus(name as FieldPath<Values>),
            }))}
          />
        </>
      )}
    </View>
  );
}

/** What stands at a path of dots. */
const at = (errors: object, path: string): { message?: string } | undefined =>
  path.split('.').reduce<unknown>((within, key) => (within as Record<string, unknown> | undefined)?.[key], errors) as
    { message?: string } | undefined;
