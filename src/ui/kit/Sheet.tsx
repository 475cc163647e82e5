import Overlay from '@rneui/themed/dist/Overlay';
import { useEffect, useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { IconButton } from '../components/IconButton';
import { makeStyles } from '../components/useStyles';
import { Heading } from '../components/Words';
import { measure, radius, space } from '../theme/tokens';
import { rising } from './motion';

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/**
 * Comes up at the thumb over the page; the focus stays in it, and Escape or a tap beside it closes it. An `Overlay`: the
 * library's `BottomSheet` asks the layout for what it does not have on the web (`event.persist`), and stays unseen.
 */
export function Sheet({ title, onClose, children }: Props) {
  const styles = useStyles();
  const body = useRef<View>(null);
  useEffect(() => body.current?.focus(), []);
  return (
    <Overlay
      isVisible
      onBackdropPress={onClose}
      pressableProps={{ tabIndex: -1, 'aria-hidden': true }}
      overlayStyle={[styles.sheet, rising()]}
      {...({ 'aria-label': title } as object)}
    >
      <View ref={body} tabIndex={-1} style={styles.body}>
        <View style={styles.head}>
          <Heading>{title}</Heading>
          <IconButton label="Close" icon="X" onPress={onClose} />
        </View>
        {children}
      </View>
    </Overlay>
  );
}

const useStyles = makeStyles((theme) => ({
  sheet: {
    width: '100%',
    maxWidth: measure.column,
    maxHeight: '85%',
    marginTop: 'auto',
    padding: space.l,
    borderRadius: 0,
    borderTopLeftRadius: radius.m,
    borderTopRightRadius: radius.m,
    backgroundColor: theme.colors.ground,
    boxShadow: 'none',
  },
  body: { flexShrink: 1, outlineWidth: 0, gap: space.s },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
}));
