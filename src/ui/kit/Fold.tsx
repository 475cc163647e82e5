import { ListItemAccordion } from '@rneui/base/dist/ListItem/ListItem.Accordion';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Icon } from '../components/Icon';
import { makeStyles, useTheme } from '../components/useStyles';
import { Strong } from '../components/Words';
import { space, stroke, target } from '../theme/tokens';

interface Props {
  title: string;
  isOpenAtFirst?: boolean;
  children: ReactNode;
}

/** A part of a screen that is opened when it is wanted; nothing of it is worked out before. */
export function Fold({ title, isOpenAtFirst = false, children }: Props) {
  const styles = useStyles();
  const { theme } = useTheme();
  const [isOpen, setOpen] = useState(isOpenAtFirst);
  return (
    <View>
      <ListItemAccordion
        {...{ theme, role: 'button', 'aria-expanded': isOpen }}
        isExpanded={isOpen}
        content={<Strong style={styles.title}>{title}</Strong>}
        icon={<Icon name="Plus" />}
        expandIcon={<Icon name="Minus" />}
        noRotation
        animation={false}
        onPress={() => setOpen(!isOpen)}
        containerStyle={styles.head}
      />
      {isOpen ? <View style={styles.body}>{children}</View> : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  head: {
    minHeight: target + space.s,
    padding: 0,
    backgroundColor: 'transparent',
    borderTopWidth: stroke.thin,
    borderTopColor: theme.colors.line,
  },
  title: { flex: 1 },
  body: { paddingBottom: space.l },
}));
