import Text from '@rneui/themed/dist/Text';
import { Pressable, View } from 'react-native';
import { fonts, space, target, type } from '../theme/tokens';
import { makeStyles } from './useStyles';

/** Ways on from here that are not this screen's main thing: underlined words, side by side. */
export function LinkRow({ links }: { links: { title: string; onPress: () => void }[] }) {
  const styles = useStyles();
  return (
    <View style={styles.row}>
      {links.map(({ title, onPress }) => (
        <Pressable key={title} role="button" onPress={onPress} style={styles.link}>
          <Text style={styles.title}>{title}</Text>
        </Pressable>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.l },
  link: { minHeight: target, justifyContent: 'center' },
  title: {
    fontFamily: fonts.bold,
    fontSize: type.body,
    color: theme.colors.good,
    textDecorationLine: 'underline',
  },
}));
