import { useRef, type KeyboardEvent } from 'react';
import { View, type GestureResponderEvent, type ViewProps } from 'react-native';
import type { SectionPlan } from '@/core/housing/section';
import { makeStyles } from '../components/useStyles';
import { Icon } from '../components/Icon';
import { radius, space, target } from '../theme/tokens';
import type { Scale } from './scale';

interface Props {
  plan: SectionPlan;
  scale: Scale;
  words: string;
  onChange: (depthMm: number) => void;
}

/** react-native-web hands these on, though React Native's types do not know them. */
type WithKeys = ViewProps & { onKeyDown?: (event: KeyboardEvent<HTMLElement>) => void; tabIndex?: 0 };
const ViewWithKeys = View as React.ComponentType<WithKeys>;

/** Size of the grip. px */
const GRIP = 26;

const KEYS: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

/** The soil line to take hold of: dragged, or moved by the arrow keys, in whole millimetres. */
export function SoilHandle({ plan, scale, words, onChange }: Props) {
  const { depthMm, heightMm, floor } = plan;
  const from = useRef({ pageY: 0, depthMm: 0 });
  const styles = useStyles();
  const within = (depth: number) => Math.round(Math.min(heightMm, Math.max(0, depth)));
  const grant = (event: GestureResponderEvent) => {
    from.current = { pageY: event.nativeEvent.pageY, depthMm };
  };
  const move = (event: GestureResponderEvent) => {
    const to = within(from.current.depthMm - (event.nativeEvent.pageY - from.current.pageY) / scale.pxPerMm);
    if (to !== depthMm) onChange(to);
  };
  return (
    <ViewWithKeys
      role="slider"
      aria-label="Soil depth, drag to change"
      aria-valuemin={0}
      aria-valuemax={heightMm}
      aria-valuenow={Math.round(depthMm)}
      aria-valuetext={words}
      tabIndex={0}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={grant}
      onResponderMove={move}
      onKeyDown={(event) => {
        const by = KEYS[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onChange(within(depthMm + by));
      }}
      style={[
        styles.band,
        {
          left: scale.x(floor.leftMm),
          width: (floor.rightMm - floor.leftMm) * scale.pxPerMm + GRIP,
          top: scale.y(depthMm) - target / 2,
        },
      ]}
    >
      <View style={styles.grip}>
        <Icon name="Drag" size={18} color={styles.mark.color} />
      </View>
    </ViewWithKeys>
  );
}

const useStyles = makeStyles((theme) => ({
  // The grip stands outside the wall, where it hides nothing and a thumb does not cover the animal.
  // The page must not scroll while the soil is dragged.
  band: {
    position: 'absolute',
    height: target,
    justifyContent: 'center',
    touchAction: 'none',
    cursor: 'ns-resize',
  } as never,
  grip: {
    alignSelf: 'flex-end',
    width: GRIP - space.xs,
    height: GRIP,
    alignItems: 'center',
    justifyContent: 'center',
    borderTopRightRadius: radius.m,
    borderBottomRightRadius: radius.m,
    backgroundColor: theme.colors.good,
  },
  mark: { color: theme.colors.onGood },
}));
