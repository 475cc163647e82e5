import ElementsChip from '@rneui/themed/dist/Chip';
import { Tappable } from '../components/Tappable';
import { makeStyles } from '../components/useStyles';
import { fonts, radius, space, stroke, target, type } from '../theme/tokens';

interface Props {
  role: 'radio' | 'checkbox';
  title: string;
  /** Where its title alone does not tell what is chosen. */
  label?: string;
  isChosen: boolean;
  onPress: () => void;
}

/** One of a few things to choose. */
export function ChoiceChip({ role, title, label = title, isChosen, onPress }: Props) {
  const styles = useStyles();
  return (
    <ElementsChip
      title={title}
      TouchableComponent={Tappable as never}
      role={role}
      aria-label={label}
      aria-checked={isChosen}
      onPress={onPress}
      containerStyle={styles.place}
      buttonStyle={[styles.chip, isChosen && styles.chosen]}
      titleStyle={[styles.title, isChosen && styles.chosenTitle]}
    />
  );
}

/** How the chips of one question stand. */
export const useChipRow = makeStyles(() => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  oneLine: { flexWrap: 'nowrap', overflow: 'scroll', maxWidth: '100%' },
}));

const useStyles = makeStyles((theme) => ({
  place: { maxWidth: '100%', flexShrink: 0, borderRadius: radius.s },
  chip: {
    minHeight: target,
    paddingHorizontal: space.m,
    paddingVertical: space.s,
    borderWidth: stroke.thin,
    borderColor: theme.colors.inkSoft,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  chosen: { backgroundColor: theme.colors.chosen, borderColor: theme.colors.ink },
  title: { fontFamily: fonts.text, fontSize: type.body, color: theme.colors.ink, textAlign: 'left' },
  chosenTitle: { fontFamily: fonts.bold, color: theme.colors.barInk },
}));
