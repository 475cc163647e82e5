import Text from '@rneui/themed/dist/Text';
import { useEffect } from 'react';
import { Pressable, View } from 'react-native';
import { useLog } from '@/client/log';
import { fonts, space, target, type } from '../theme/tokens';
import { makeStyles } from './useStyles';

/** How long what was just done can be taken back from here. ms */
const SHOWN_FOR = 10_000;

/** What was just written down, with a way back; or why it was not. */
export function NoticeBar() {
  const { notice, show } = useLog();
  const styles = useStyles({ isProblem: notice?.isProblem ?? false });
  useEffect(() => {
    if (!notice || notice.isProblem || notice.stays) return undefined;
    const timer = setTimeout(() => show(null), SHOWN_FOR);
    return () => clearTimeout(timer);
  }, [notice, show]);
  return (
    <View role="status" aria-live="polite">
      {notice ? (
        <View style={styles.bar}>
          <Text style={styles.text}>{notice.text}</Text>
          {notice.action ? (
            <Pressable role="button" onPress={() => void notice.action?.run()} style={styles.action}>
              <Text style={styles.actionText}>{notice.action.title}</Text>
            </Pressable>
          ) : (
            <Pressable role="button" aria-label="Close this notice" onPress={() => show(null)} style={styles.action}>
              <Text style={styles.actionText}>Close</Text>
            </Pressable>
          )}
        </View>
      ) : null}
    </View>
  );
}

const useStyles = makeStyles((theme, { isProblem }: { isProblem: boolean }) => ({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingLeft: space.l,
    paddingRight: space.s,
    backgroundColor: isProblem ? theme.colors.clay : theme.colors.resting,
    borderTopWidth: 1,
    borderTopColor: theme.colors.line,
  },
  text: { flex: 1, paddingVertical: space.s, color: isProblem ? theme.colors.onClay : theme.colors.ink },
  action: { minHeight: target, minWidth: target, justifyContent: 'center', paddingHorizontal: space.m },
  actionText: {
    fontFamily: fonts.bold,
    fontSize: type.strong,
    textDecorationLine: 'underline',
    color: isProblem ? theme.colors.onClay : theme.colors.good,
  },
}));
