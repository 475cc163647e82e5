import Input from '@rneui/themed/dist/Input';
import type { KeyboardTypeOptions } from 'react-native';
import { View } from 'react-native';
import { space } from '../theme/tokens';
import { Soft } from './Words';

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  onBlur?: () => void;
  /** What is wrong with it, under the field. */
  problem?: string | undefined;
  hint?: string | undefined;
  keyboard?: KeyboardTypeOptions;
  multiline?: boolean;
}

/** One labelled line to write in. */
export function Field({ label, value, onChange, onBlur, problem, hint, keyboard = 'default' }: Props) {
  return (
    <View style={{ gap: space.xs }}>
      <Input
        label={label}
        aria-label={label}
        aria-invalid={problem !== undefined}
        value={value}
        onChangeText={onChange}
        onBlur={onBlur}
        errorMessage={problem ?? ''}
        renderErrorMessage={problem !== undefined}
        keyboardType={keyboard}
        autoCapitalize="none"
        autoCorrect={false}
      />
      {hint !== undefined && problem === undefined ? <Soft>{hint}</Soft> : null}
    </View>
  );
}
