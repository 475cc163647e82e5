import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { LinkRow } from '../components/LinkRow';
import { makeStyles } from '../components/useStyles';
import { Body } from '../components/Words';
import { useConfirm } from '../kit/useConfirm';
import { radius, space, stroke } from '../theme/tokens';

/** That this is the example house, and the way to begin one's own; nothing in any other house. */
export function ExampleNotice() {
  const styles = useStyles();
  const { isExample, load } = useHouse();
  const show = useLog((log) => log.show);
  const { ask, dialog } = useConfirm();
  if (!isExample) return null;
  const drop = async () => {
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
            title: 'Throw it away and begin my own',
            onPress: () =>
              ask({
                title: 'Throw the example away?',
                text: 'It goes for good, with all that was written in it. Your own house begins empty.',
                act: 'Throw it away',
                run: drop,
              }),
          },
        ]}
      />
      {dialog}
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
