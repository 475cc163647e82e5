import type { ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { Button } from '../kit/Button';
import { space } from '../theme/tokens';
import { Problems } from './Problems';
import type { Fields } from './useFields';

interface Props<Values extends FieldValues> {
  form: Pick<Fields<Values>, 'control' | 'setFocus' | 'handleSubmit' | 'place' | 'formState'>;
  /** What its button says. */
  act: string;
  /** Writes what was read; what it throws is told at the fields, or beside the act. */
  save: (values: Values) => Promise<unknown>;
  rank?: 'main' | 'second';
  disabled?: boolean;
  children: ReactNode;
}

/** Fields, what is wrong with them, and the act that saves them: once at a time. */
export function Form<Values extends FieldValues>(props: Props<Values>) {
  const { form, act, save, rank = 'main', disabled = false, children } = props;
  const submit = form.handleSubmit((values) => save(values).catch(form.place));
  return (
    <View style={{ gap: space.m }}>
      {children}
      <Problems form={form} />
      <Button
        title={act}
        rank={rank}
        disabled={disabled || form.formState.isSubmitting}
        onPress={() => void submit()}
      />
    </View>
  );
}
