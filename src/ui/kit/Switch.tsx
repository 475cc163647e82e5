import ElementsSwitch from '@rneui/themed/dist/Switch';
import { Pressable } from 'react-native';
import { useTheme } from '../components/useStyles';
import { Body } from '../components/Words';
import { space, target } from '../theme/tokens';

interface Props {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}

/** What holds or does not; the words beside it can be tapped as well. */
export function Switch({ label, value, onChange }: Props) {
  const { good, inkSoft, raised } = useTheme().theme.colors;
  return (
    <Pressable
      tabIndex={-1}
      onPress={() => onChange(!value)}
      style={{ flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: target }}
    >
      <ElementsSwitch
        aria-label={label}
        value={value}
        onValueChange={onChange}
        // The words take the tap too, which the switch must not answer with a second one.
        {...({ onClick: (event: { stopPropagation: () => void }) => event.stopPropagation() } as object)}
        {...({ activeTrackColor: good, activeThumbColor: raised, trackColor: inkSoft, thumbColor: raised } as object)}
        style={{ height: 26, width: 52 }}
      />
      <Body style={{ flex: 1 }}>{label}</Body>
    </Pressable>
  );
}
