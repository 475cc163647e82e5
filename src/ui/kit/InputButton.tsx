import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Icon, type IconName } from '../components/Icon';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { fonts, radius, space, stroke, target, type } from '../theme/tokens';

interface Props {
  label: string;
  /** What is chosen, in words. */
  words: string;
  isChosen: boolean;
  icon: IconName;
  isOpen: boolean;
  /** Its label stands over it already. */
  isNamedAbove?: boolean;
  onPress: () => void;
  problem?: string | undefined;
  hint?: string | undefined;
  /** Beside it. */
  beside?: ReactNode;
  /** Under it, while it is open. */
  children?: ReactNode;
}

/** A field that is not typed: what is chosen stands in it, and a tap opens what to choose from. */
export function InputButton(props: Props) {
  const {
    label,
    words,
    isChosen,
    icon,
    isOpen,
    isNamedAbove = false,
    onPress,
    problem,
    hint,
    beside,
    children,
  } = props;
  const styles = useStyles();
  return (
    <View style={styles.all}>
      {isNamedAbove ? null : <Strong style={styles.label}>{label}</Strong>}
      <View style={styles.line}>
        <Pressable
          role="button"
          aria-label={`${label}: ${words}`}
          aria-expanded={isOpen}
          onPress={onPress}
          style={[styles.field, problem !== undefined && styles.wrong]}
        >
          <Body style={isChosen ? styles.chosen : styles.none}>{words}</Body>
          <Icon name={icon} size={20} />
        </Pressable>
        {beside}
      </View>
      {problem !== undefined ? <Strong style={styles.problem}>{problem}</Strong> : null}
      {hint !== undefined ? <Soft>{hint}</Soft> : null}
      {isOpen ? children : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.xs },
  label: { fontSize: type.body },
  line: { flexDirection: 'row', gap: space.s },
  field: {
    flexGrow: 1,
    flexShrink: 1,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    minHeight: target + space.xs,
    paddingHorizontal: space.m,
    borderWidth: stroke.line,
    borderColor: theme.colors.ink,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  wrong: { borderColor: theme.colors.clay },
  chosen: { fontFamily: fonts.bold },
  none: { color: theme.colors.inkSoft },
  problem: { color: theme.colors.clay, fontSize: type.small },
}));
