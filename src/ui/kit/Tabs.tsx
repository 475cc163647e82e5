import Tab from '@rneui/themed/dist/Tab';
import { makeStyles } from '../components/useStyles';
import { fonts, space, stroke, target, type } from '../theme/tokens';

interface Props<Value extends string> {
  label: string;
  tabs: readonly { value: Value; title: string }[];
  value: Value;
  onChange: (value: Value) => void;
}

/** The parts of a page, of which one is seen. */
export function Tabs<Value extends string>({ label, tabs, value, onChange }: Props<Value>) {
  const styles = useStyles();
  return (
    <Tab
      aria-label={label}
      value={tabs.findIndex((tab) => tab.value === value)}
      variant="default"
      dense
      disableIndicator
      animationConfig={{ useNativeDriver: false }}
      style={styles.bar}
    >
      {tabs.map((tab) => (
        <Item
          key={tab.value}
          onChoose={() => onChange(tab.value)}
          title={tab.title}
          aria-selected={tab.value === value}
          containerStyle={styles.item}
          buttonStyle={(isActive) => [styles.button, isActive && styles.active]}
          titleStyle={(isActive) => [styles.title, isActive && styles.activeTitle]}
        />
      ))}
    </Tab>
  );
}

/**
 * The library tells of every tab that comes to stand in the bar, also of one that was not tapped, and late: only taps count.
 */
function Item({ onChoose, ...given }: React.ComponentProps<typeof Tab.Item> & { onChoose: () => void }) {
  return <Tab.Item {...given} onPress={onChoose} />;
}

const useStyles = makeStyles((theme) => ({
  bar: { borderBottomWidth: stroke.thin, borderBottomColor: theme.colors.line, marginTop: space.m },
  item: { flex: 1, overflow: 'visible' },
  button: {
    minHeight: target,
    paddingHorizontal: space.xs,
    backgroundColor: 'transparent',
    borderBottomWidth: stroke.mark,
    borderBottomColor: 'transparent',
  },
  active: { borderBottomColor: theme.colors.accent },
  title: { fontFamily: fonts.text, fontSize: type.body, color: theme.colors.inkSoft, paddingHorizontal: 0 },
  activeTitle: { fontFamily: fonts.bold, color: theme.colors.ink },
}));
