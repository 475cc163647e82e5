import Text from '@rneui/themed/dist/Text';
import { View } from 'react-native';
import { fonts, radius, space, stroke, target, type } from '../theme/tokens';
import { makeStyles } from './useStyles';

/** What a box is called on the shelf, as the label on it. */
export function CodeTag({ code }: { code: string }) {
  const styles = useStyles();
  return (
    <View style={styles.tag}>
      <Text style={styles.code}>{code}</Text>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  tag: {
    minWidth: target + space.xs,
    height: 38,
    paddingHorizontal: space.s,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: stroke.thin,
    borderColor: theme.colors.ink,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  code: { fontFamily: fonts.bold, fontSize: type.body },
}));
