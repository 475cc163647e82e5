import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Icon } from './Icon';
import { makeStyles } from './useStyles';
import { Strong } from './Words';
import { space, target } from '../theme/tokens';

/** A part of a screen that is opened when it is wanted; nothing of it is worked out before. */
export function Fold({ title, children }: { title: string; children: ReactNode }) {
  const styles = useStyles();
  const [isOpen, setOpen] = useState(false);
  return (
    <View style={styles.part}>
      <Pressable role="button" aria-expanded={isOpen} onPress={() => setOpen(!isOpen)} style={styles.head}>
        <Strong style={styles.title}>{title}</Strong>
        <Icon name={isOpen ? 'Minus' : 'Plus'} />
      </Pressable>
      {isOpen ? <View style={styles.body}>{children}</View> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  part: { borderTopWidth: 1, borderTopColor: theme.colors.line },
  head: { flexDirection: 'row', alignItems: 'center', minHeight: target + space.s },
  title: { flex: 1 },
  body: { paddingBottom: space.l },
}));
