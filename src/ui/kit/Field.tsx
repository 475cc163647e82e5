import Input from '@rneui/themed/dist/Input';
import { useState, type Ref } from 'react';
import { type KeyboardTypeOptions, View } from 'react-native';
import { space } from '../theme/tokens';
import { useTheme } from '../components/useStyles';
import { Soft } from '../components/Words';

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  onBlur?: () => void;
  /** What is wrong with it, under the field. */
  problem?: string | undefined;
  hint?: string | undefined;
  keyboard?: KeyboardTypeOptions;
  /** So many lines are shown; one if left out. */
  lines?: number;
  /** Lets a form put the cursor here. */
  inputRef?: Ref<{ focus: () => void }>;
}

/** One labelled line to write in. */
export function Field({
  label,
  value,
  onChange,
  onBlur,
  problem,
  hint,
  keyboard = 'default',
  lines = 1,
  inputRef,
}: Props) {
  const { theme } = useTheme();
  const [isFocused, setFocused] = useState(false);
  const edge = problem !== undefined ? theme.colors.clay : isFocused ? theme.colors.accent : theme.colors.ink;
  return (
    <View style={{ gap: space.xs }}>
      <Input
        label={label}
        aria-label={label}
        aria-invalid={problem !== undefined}
        value={value}
        onChangeText={onChange}
        onFocus={() => setFocused(true)}
        onBlur={() => {
          setFocused(false);
          onBlur?.();
        }}
        ref={inputRef as never}
        inputContainerStyle={{ borderColor: edge, boxShadow: isFocused ? `0 0 0 2px ${edge}` : 'none' }}
        errorMessage={problem ?? ''}
        renderErrorMessage={problem !== undefined}
        keyboardType={keyboard}
        multiline={lines > 1}
        numberOfLines={lines}
        autoCapitalize="none"
        autoCorrect={false}
      />
      {hint !== undefined && problem === undefined ? <Soft>{hint}</Soft> : null}
    </View>
  );
}
