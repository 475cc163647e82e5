import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { LinkRow } from '../components/LinkRow';
import { useAskedOnce } from '../components/useAskedOnce';
import { makeStyles } from '../components/useStyles';
import { Body } from '../components/Words';
import { radius, space, stroke } from '../theme/tokens';

/** That this is the example house, and the way to begin one's own; nothing in any other house. */
export function ExampleNotice() {
  const styles = useStyles();
  const { isExample, load } = useHouse();
  const show = useLog((log) => log.show);
  const { isAsked, mayDo } = useAskedOnce(true, 'throw the example away');
  if (!isExample) return null;
  const drop = async () => {
    if (!mayDo()) return;
    try {
      await call('dropExample', {});
      await load();
      show({ text: 'The example is thrown away. The house is empty, and yours.' });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View role="note" style={styles.box}>
      <Body>An example house, to look around and to try things in.</Body>
      <LinkRow
        links={[
          {
            title: isAsked
              ? 'Throw it away for good, with all that is written in it'
              : 'Throw it away and begin my own',
            onPress: () => void drop(),
          },
        ]}
      />
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  box: {
    marginVertical: space.s,
    padding: space.m,
    borderWidth: stroke.thin,
    borderColor: theme.colors.line,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
}));
