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
    const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    const here = event.currentTarget;
    const all = Array.from(here.closest('[role=radiogroup]')?.querySelectorAll<HTMLElement>('[role=radio]') ?? []);
    const target = by === undefined ? undefined : all[all.indexOf(here) + by];
    if (!target) return;
    event.preventDefault();
    target.focus();
  };
  return <PressableWithKeys {...rest} onPress={onPress} onKeyDown={onKeyDown} />;
}
