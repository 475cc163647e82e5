import type { KeyboardEvent } from 'react';
import { Pressable, type PressableProps } from 'react-native';

interface Props extends Omit<PressableProps, 'onPress' | 'role'> {
  onPress: () => void;
}

/** react-native-web hands these on, though React Native's types do not know them. */
type WithKeys = PressableProps & { onKeyDown?: (event: KeyboardEvent<HTMLElement>) => void };
const PressableWithKeys = Pressable as React.ComponentType<WithKeys>;

/** Something that leads to another page, by tap or by Enter: the library leaves links to the browser, which knows these not. */
export function Leading({ onPress, ...rest }: Props) {
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'Enter' || event.target !== event.currentTarget) return;
    event.preventDefault();
    onPress();
  };
  return <PressableWithKeys {...rest} role="link" onPress={onPress} onKeyDown={onKeyDown} />;
}
