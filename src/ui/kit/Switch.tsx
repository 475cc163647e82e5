import ElementsSwitch from '@rneui/themed/dist/Switch';
import { View } from 'react-native';
import { Tappable } from '../components/Tappable';
import { useTheme } from '../components/useStyles';
import { Body } from '../components/Words';
import { space, target } from '../theme/tokens';

interface Props {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}

/** What holds or does not. The whole row is tapped: the library's switch is lower than a thumb, and shows only how it stands. */
export function Switch({ label, value, onChange }: Props) {
  const { good, inkSoft, raised } = useTheme().theme.colors;
  const colors = { activeTrackColor: good, activeThumbColor: raised, trackColor: inkSoft, thumbColor: raised };
  return (
    <Tappable
      role="switch"
      aria-checked={value}
      aria-label={label}
      onPress={() => onChange(!value)}
      style={{ flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: target }}
    >
      <View aria-hidden pointerEvents="none">
        <ElementsSwitch disabled value={value} {...(colors as object)} style={{ height: 26, width: 52 }} />
      </View>
      <Body style={{ flex: 1 }}>{label}</Body>
    </Tappable>
  );
}
