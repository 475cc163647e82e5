import { Pressable, View } from 'react-native';
import Svg, { Circle, G, Line, Rect } from 'react-native-svg';
import { makeStyles, useTheme } from '../components/useStyles';
import { Body, Strong } from '../components/Words';
import { radius, space, stroke } from '../theme/tokens';
import type { OpeningsKind } from './values';

const KINDS = [
  { value: 'none', title: 'None' },
  { value: 'drilled', title: 'Drilled holes' },
  { value: 'mesh', title: 'Mesh' },
] as const satisfies readonly { value: OpeningsKind; title: string }[];

interface Props {
  value: OpeningsKind | '';
  onChange: (value: OpeningsKind) => void;
  problem?: string | undefined;
}

/** What lets the air into a box, with a picture of each: none is chosen for the keeper. */
export function OpeningsChoice({ value, onChange, problem }: Props) {
  const styles = useStyles();
  return (
    <View style={styles.all}>
      <View role="radiogroup" aria-label="Openings" style={styles.row}>
        {KINDS.map((kind) => (
          <Pressable
            key={kind.value}
            role="radio"
            aria-label={kind.title}
            aria-checked={value === kind.value}
            onPress={() => onChange(kind.value)}
            style={[styles.tile, value === kind.value && styles.chosen]}
          >
            <Picture kind={kind.value} />
            <Strong style={styles.title}>{kind.title}</Strong>
          </Pressable>
        ))}
      </View>
      {problem !== undefined ? <Body role="alert">{problem}</Body> : null}
    </View>
  );
}

const BOX = { x: 10, y: 12, width: 60, height: 36 };
const HOLES = [18, 26, 34, 42, 50, 58];
const WIRES = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

/** A tub from the front: closed, with a row of holes, or with a panel of mesh in its lid. */
function Picture({ kind }: { kind: OpeningsKind }) {
  const { theme } = useTheme();
  const { ink, ground } = theme.colors;
  return (
    <Svg width={80} height={56} viewBox="0 0 80 56" aria-hidden>
      <Rect {...BOX} fill={ground} stroke={ink} strokeWidth={stroke.line} />
      <Rect x={7} y={7} width={66} height={5} fill={ground} stroke={ink} strokeWidth={stroke.line} />
      {kind === 'drilled' ? HOLES.map((x) => <Circle key={x} cx={x + 2} cy={20} r={2} fill={ink} />) : null}
      {kind === 'mesh' ? (
        <G>
          {WIRES.map((wire) => (
            <Line key={wire} x1={18 + 4.5 * wire} x2={20 + 4.5 * wire} y1={12} y2={7} stroke={ink} strokeWidth={1} />
          ))}
        </G>
      ) : null}
    </Svg>
  );
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s },
  row: { flexDirection: 'row', gap: space.s },
  tile: {
    flex: 1,
    alignItems: 'center',
    gap: space.xs,
    paddingVertical: space.s,
    borderWidth: stroke.thin,
    borderColor: theme.colors.line,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  chosen: { borderWidth: 2, borderColor: theme.colors.good },
  title: { textAlign: 'center' },
}));
