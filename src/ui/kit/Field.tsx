import Input from '@rneui/themed/dist/Input';
import { useImperativeHandle, useRef, useState, type Ref } from 'react';
import { type KeyboardTypeOptions, Pressable, Text, View } from 'react-native';
import { space, target } from '../theme/tokens';
import { makeStyles, useTheme } from '../components/useStyles';
import { Icon } from '../components/Icon';
import { Soft } from '../components/Words';
import { numberIn } from '@/core/measure/typedNumber';

/** How far a number can be stepped with the buttons beside it. */
export interface Steps {
  least: number;
  most: number;
  /** Where the first step begins while nothing is typed; the least if left out. */
  from?: number | undefined;
}

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
  /** A whole number that is set with a thumb as well as typed. */
  steps?: Steps;
  /** What is typed is not shown; a password manager is told what it is. */
  isSecret?: 'current-password' | 'new-password' | 'one-time-code' | undefined;
  /** What a browser may fill in. */
  fills?: 'username' | undefined;
  onSubmit?: (() => void) | undefined;
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
  steps,
  isSecret,
  fills,
  onSubmit,
  inputRef,
}: Props) {
  const { theme } = useTheme();
  const [isFocused, setFocused] = useState(false);
  // The library's own `focus` throws once the field is gone, and a form calls it a moment later.
  const own = useRef<{ input?: { focus: () => void } | null }>(null);
  useImperativeHandle(inputRef, () => ({ focus: () => own.current?.input?.focus() }), []);
  const edge = problem !== undefined ? theme.colors.clay : isFocused ? theme.colors.focus : theme.colors.ink;
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
        ref={own as never}
        inputContainerStyle={{ borderColor: edge, boxShadow: isFocused ? `0 0 0 2px ${edge}` : 'none' }}
        errorMessage={problem ?? ''}
        renderErrorMessage={problem !== undefined}
        keyboardType={keyboard}
        multiline={lines > 1}
        numberOfLines={lines}
        autoCapitalize="none"
        autoCorrect={false}
        {...(isSecret && { secureTextEntry: true, autoComplete: isSecret })}
        {...(fills && { autoComplete: fills })}
        {...(onSubmit && { onSubmitEditing: onSubmit })}
        {...(steps && { rightIcon: <Stepper label={label} value={value} onChange={onChange} steps={steps} /> })}
      />
      {hint !== undefined && problem === undefined ? <Soft>{hint}</Soft> : null}
    </View>
  );
}

function Stepper({ label, value, onChange, steps }: Required<Pick<Props, 'label' | 'value' | 'onChange' | 'steps'>>) {
  const { least, most, from = least } = steps;
  const now = numberIn(value);
  const step = (by: number) => onChange(String(Math.min(most, Math.max(least, now === undefined ? from : now + by))));
  return (
    <View style={{ flexDirection: 'row', gap: space.xs }}>
      <StepButton name={`One less: ${label}`} icon="Minus" onPress={() => step(-1)} />
      <StepButton name={`One more: ${label}`} icon="Plus" onPress={() => step(1)} />
    </View>
  );
}

/** Named by words that are not seen: the field itself alone bears the label. */
function StepButton({ name, icon, onPress }: { name: string; icon: 'Minus' | 'Plus'; onPress: () => void }) {
  const styles = useStyles();
  return (
    <Pressable role="button" onPress={onPress} style={styles.step}>
      <Icon name={icon} size={20} />
      <Text style={styles.unseen}>{name}</Text>
    </Pressable>
  );
}

const useStyles = makeStyles(() => ({
  step: { width: target, height: target, alignItems: 'center', justifyContent: 'center' },
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 },
}));
