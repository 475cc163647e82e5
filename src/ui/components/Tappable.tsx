import type { KeyboardEvent } from 'react';
import { Pressable, type PressableProps } from 'react-native';

interface Props extends Omit<PressableProps, 'onPress' | 'role'> {
  role: 'checkbox' | 'radio' | 'switch';
  onPress: () => void;
}

/** react-native-web hands these on, though React Native's types do not know them. */
type WithKeys = PressableProps & { onKeyDown?: (event: KeyboardEvent<HTMLElement>) => void };
const PressableWithKeys = Pressable as React.ComponentType<WithKeys>;

/**
 * Something to be switched or chosen, by tap or by key: the space bar taps it (the library does that for buttons
 * only), and the arrow keys go from one choice to the next.
 */
export function Tappable({ onPress, ...rest }: Props) {
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key === ' ') {
      event.preventDefault();
      onPress();
    }
    if (rest.role !== 'radio') return;
    const here = event.currentTarget;
    const next = {
      ArrowDown: here.nextSibling,
      ArrowRight: here.nextSibling,
      ArrowUp: here.previousSibling,
      ArrowLeft: here.previousSibling,
    };
    const target = next[event.key as keyof typeof next];
    if (!(target instanceof HTMLElement)) return;
    event.preventDefault();
    target.focus();
  };
  return <PressableWithKeys {...rest} onPress={onPress} onKeyDown={onKeyDown} />;
}
