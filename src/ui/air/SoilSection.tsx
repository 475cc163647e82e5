import { Line, Path, Rect, Svg } from 'react-native-svg';
import { View } from 'react-native';
import { LAYER_SHARES, type SoilLayers, type WateringWay } from '@/core/climate/soilLayers';
import { pct } from '@/words/count';
import { Label } from '../drawings/parts';
import { useTheme } from '../components/useStyles';
import { stroke } from '../theme/tokens';

interface Props {
  layers: SoilLayers;
  dampSharePct: number;
  way: WateringWay;
}

const WIDTH = 340;
const TALL = 132;
const LEFT = 84;
const TOP = 26;
const NAMES = ['surface', 'middle', 'lower half'] as const;

/** The soil in section, three layers of each end: how the water lies in it, and where it is poured in. */
export function SoilSection({ layers, dampSharePct, way }: Props) {
  const { theme } = useTheme();
  const { colors } = theme;
  const width = WIDTH - LEFT;
  const split = (width * Math.min(100, dampSharePct)) / 100;
  const ends = [
    { name: 'damp end', x: LEFT, wide: split, of: layers.damp },
    { name: 'dry end', x: LEFT + split, wide: width - split, of: layers.dry },
  ].filter(({ wide }) => wide > 1);
  const rows = NAMES.map((name, at) => ({
    name,
    y: TOP + TALL * LAYER_SHARES.slice(0, at).reduce((sum, each) => sum + each, 0),
    tall: TALL * (LAYER_SHARES[at] ?? 0),
  }));
  const wetnessOf = (of: SoilLayers['damp'], at: number) => [of.top, of.middle, of.low][at] ?? 0;
  const told = ends
    .map(({ name, of }) => `${name}: ${NAMES.map((each, at) => `${each} ${pct(100 * wetnessOf(of, at))}`).join(', ')}`)
    .join('; ');
  return (
    <View role="img" aria-label={`How the water lies, of what the soil holds. ${told}.`} style={{ maxWidth: WIDTH }}>
      <Svg width="100%" viewBox={`0 0 ${WIDTH} ${TOP + TALL + 2}`} style={{ aspectRatio: WIDTH / (TOP + TALL + 2) }}>
        {rows.map(({ name, y, tall }) => (
          <Label key={name} x={LEFT - 8} y={y + tall / 2 + 4} color={colors.inkSoft} text={name} anchor="end" />
        ))}
        <Rect x={LEFT} y={TOP} width={width} height={TALL} fill={colors.soilDry} />
        {ends.map(({ name, x, wide, of }) =>
          rows.map(({ name: row, y, tall }, at) => (
            <Rect
              key={`${name} ${row}`}
              {...{ x, y, width: wide, height: tall, fill: colors.soilDamp }}
              opacity={Math.min(1, wetnessOf(of, at))}
            />
          )),
        )}
        {ends.map(({ name, x, wide, of }) =>
          wide < 44
            ? null
            : rows.map(({ name: row, y, tall }, at) => (
                <Label
                  key={`${name} ${row} told`}
                  x={x + wide / 2}
                  y={y + tall / 2 + 5}
                  color={colors.onSoil}
                  text={pct(100 * wetnessOf(of, at))}
                  anchor="middle"
                  bold
                />
              )),
        )}
        {ends.length > 1 ? (
          <Line
            {...{ x1: LEFT + split, x2: LEFT + split, y1: TOP, y2: TOP + TALL, stroke: colors.ground }}
            strokeWidth={stroke.line}
          />
        ) : null}
        <WayIn {...{ way, split, width }} color={colors.dew} />
      </Svg>
    </View>
  );
}

/** Where the water goes in: an arrow down the wall, onto the damp end or all over, or drops. */
function WayIn({ way, split, width, color }: { way: WateringWay; split: number; width: number; color: string }) {
  const arrow = (x: number, to: number) => `M ${x} 3 V ${to} M ${x - 5} ${to - 6} L ${x} ${to} L ${x + 5} ${to - 6}`;
  const paths = {
    'down-side': [arrow(LEFT + 8, TOP + TALL - 4)],
    'at-end': [arrow(LEFT + split / 3, TOP - 2), arrow(LEFT + (2 * split) / 3, TOP - 2)],
    throughout: [0.15, 0.4, 0.65, 0.9].map((share) => arrow(LEFT + share * width, TOP - 2)),
    'mist-top': Array.from({ length: 12 }, (_, at) => `M ${LEFT + ((at + 0.5) / 12) * width} ${6 + (at % 3) * 5} v 3`),
    'fill-dish': [],
  }[way];
  return (
    <>
      {paths.map((d) => (
        <Path key={d} d={d} stroke={color} strokeWidth={stroke.line} fill="none" strokeLinecap="round" />
      ))}
    </>
  );
}
