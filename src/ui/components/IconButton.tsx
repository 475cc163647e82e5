import { Pressable } from 'react-native';
import { radius, target } from '../theme/tokens';
import { Icon, type IconName } from './Icon';
import { makeStyles } from './useStyles';

/** A small act that an icon tells; its name is for those who do not see it. */
export function IconButton({ label, icon, onPress }: { label: string; icon: IconName; onPress: () => void }) {
  const styles = useStyles();
  return (
    <Pressable role="button" aria-label={label} onPress={onPress} style={styles.button}>
      <Icon name={icon} size={20} />
    </Pressable>
  );
}

const useStyles = makeStyles((theme) => ({
  button: {
    width: target,
    height: target,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
}));
