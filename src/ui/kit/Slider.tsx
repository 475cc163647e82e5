import Text from '@rneui/themed/dist/Text';
import { useRef, useState, type ComponentType, type KeyboardEvent } from 'react';
import { View, type GestureResponderEvent, type ViewProps } from 'react-native';
import { fonts, radius, space, stroke, target } from '../theme/tokens';
import { makeStyles } from '../components/useStyles';

interface Props {
  label: string;
  /** The value with its unit. */
  words: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (value: number) => void;
}

/** react-native-web hands these on, though React Native's types do not know them. */
type WithKeys = ViewProps & { onKeyDown?: (event: KeyboardEvent<HTMLElement>) => void; tabIndex?: 0 };
const ViewWithKeys = View as ComponentType<WithKeys>;

const KEYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
};
const GRIP = 28;

/** A number to be tried: dragged with a thumb anywhere along its row, or moved by keys. */
export function Slider({ label, words, value, min, max, step, onChange }: Props) {
  const styles = useStyles();
  const [width, setWidth] = useState(0);
  const from = useRef({ pageX: 0, value: 0 });
  const within = (each: number) => Math.min(max, Math.max(min, Math.round((each - min) / step) * step + min));
  const travel = Math.max(1, width - GRIP);
  const share = (Math.min(max, Math.max(min, value)) - min) / (max - min);
  const grant = (event: GestureResponderEvent) => {
    const { locationX, pageX } = event.nativeEvent;
    const touched = within(min + ((locationX - GRIP / 2) / travel) * (max - min));
    // A thumb on the grip takes hold of it; elsewhere the grip comes to the thumb.
    const onGrip = Math.abs(locationX - (share * travel + GRIP / 2)) <= GRIP;
    from.current = { pageX, value: onGrip ? value : touched };
    if (!onGrip) onChange(touched);
  };
  const move = (event: GestureResponderEvent) => {
    const by = ((event.nativeEvent.pageX - from.current.pageX) / travel) * (max - min);
    const to = within(from.current.value + by);
    if (to !== value) onChange(to);
  };
  return (
    <View>
      <View style={styles.words}>
        <Text>{label}</Text>
        <Text style={styles.value}>{words}</Text>
      </View>
      <ViewWithKeys
        role="slider"
        aria-label={label}
        aria-valuemin={min}
        aria-valuemax={max}
        aria-valuenow={value}
        aria-valuetext={words}
        tabIndex={0}
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        onStartShouldSetResponder={() => true}
        onMoveShouldSetResponder={() => true}
        onResponderTerminationRequest={() => false}
        onResponderGrant={grant}
        onResponderMove={move}
        onKeyDown={(event) => {
          const by = KEYS[event.key];
          if (by === undefined) return;
          event.preventDefault();
          onChange(within(value + by * step));
        }}
        style={styles.row}
      >
        <View style={[styles.track, styles.untouchable]} />
        <View style={[styles.done, styles.untouchable, { width: share * travel + GRIP / 2 }]} />
        <View style={[styles.grip, styles.untouchable, { left: share * travel }]} />
      </ViewWithKeys>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  words: { flexDirection: 'row', justifyContent: 'space-between', gap: space.s },
  value: { fontFamily: fonts.bold },
  // The page must not scroll while the value is dragged.
  row: { height: target, justifyContent: 'center', touchAction: 'pan-y', cursor: 'ew-resize' } as never,
  untouchable: { pointerEvents: 'none' },
  track: { height: stroke.line, backgroundColor: theme.colors.inkSoft },
  done: { position: 'absolute', left: 0, height: space.s - space.hair, backgroundColor: theme.colors.good },
  // A clod, not a knob: square-shouldered, standing on the line.
  grip: {
    position: 'absolute',
    width: GRIP,
    height: GRIP,
    borderRadius: radius.m,
    backgroundColor: theme.colors.raised,
    borderWidth: stroke.mark,
    borderColor: theme.colors.good,
  },
}));
