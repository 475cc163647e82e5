import ElementsButton from '@rneui/themed/dist/Button';
import { stroke } from '../theme/tokens';
import { useTheme } from '../components/useStyles';

interface Props {
  title: string;
  onPress: () => void;
  /** `main` is the one thing this screen is for; a second choice stands beside it in outline. */
  rank?: 'main' | 'second';
  disabled?: boolean;
  grow?: boolean;
  testID?: string;
}

export function Button({ title, onPress, rank = 'main', disabled = false, grow = false, testID }: Props) {
  const { theme } = useTheme();
  const { good, onGood, raised } = theme.colors;
  const isMain = rank === 'main';
  return (
    <ElementsButton
      title={title}
      onPress={onPress}
      disabled={disabled}
      accessibilityRole="button"
      testID={testID}
      containerStyle={grow ? { flexGrow: 1, flexShrink: 1 } : {}}
      buttonStyle={{
        backgroundColor: isMain ? good : raised,
        borderWidth: stroke.line,
        borderColor: disabled ? theme.colors.line : good,
      }}
      titleStyle={{ color: isMain ? onGood : good }}
    />
  );
}
