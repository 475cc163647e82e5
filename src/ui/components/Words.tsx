import Text from '@rneui/themed/dist/Text';
import type { ReactNode } from 'react';
import type { TextProps } from 'react-native';
import { fonts, type } from '../theme/tokens';
import { useTheme } from './useStyles';

interface Props extends TextProps {
  children: ReactNode;
}

/** A scientific name. */
export function Name({ children, style, ...rest }: Props) {
  return (
    <Text {...rest} style={[{ fontFamily: fonts.name, fontSize: type.name, lineHeight: type.name * 1.2 }, style]}>
      {children}
    </Text>
  );
}

/** A scientific name that is the title of a screen. */
export function LargeName({ children }: Props) {
  return (
    <Text role="heading" aria-level={1} style={{ fontFamily: fonts.name, fontSize: type.largeName, lineHeight: 32 }}>
      {children}
    </Text>
  );
}

/** The title of a screen. */
export function Title({ children, style }: Props) {
  return (
    <Text
      role="heading"
      aria-level={1}
      style={[{ fontFamily: fonts.title, fontSize: type.title, lineHeight: type.title * 1.2 }, style]}
    >
      {children}
    </Text>
  );
}

/** The title of a part of a screen. */
export function Heading({ children, style }: Props) {
  return (
    <Text role="heading" aria-level={2} style={[{ fontFamily: fonts.bold, fontSize: type.strong }, style]}>
      {children}
    </Text>
  );
}

export function Strong({ children, style, ...rest }: Props) {
  return (
    <Text {...rest} style={[{ fontFamily: fonts.bold, fontSize: type.strong }, style]}>
      {children}
    </Text>
  );
}

/** Second in rank: a reason, a place, a date. */
export function Soft({ children, style, ...rest }: Props) {
  const { theme } = useTheme();
  return (
    <Text {...rest} style={[{ color: theme.colors.inkSoft, fontSize: type.small + 1, lineHeight: 19 }, style]}>
      {children}
    </Text>
  );
}

export function Body({ children, style, ...rest }: Props) {
  return (
    <Text {...rest} style={[{ lineHeight: 21 }, style]}>
      {children}
    </Text>
  );
}
