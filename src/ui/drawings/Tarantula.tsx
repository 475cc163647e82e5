import { Ellipse, G, Path } from 'react-native-svg';

/** Feet (x) and knees (x, height) of the four legs of one side, as shares of the leg span; the feet stand on y = 0. */
const LEGS = [
  { foot: -0.5, knee: { x: -0.33, y: 0.3 }, hip: -0.05 },
  { foot: -0.33, knee: { x: -0.2, y: 0.33 }, hip: -0.02 },
  { foot: 0.3, knee: { x: 0.19, y: 0.34 }, hip: 0.06 },
  { foot: 0.5, knee: { x: 0.34, y: 0.31 }, hip: 0.1 },
];

interface Props {
  /** Leg span in px; the drawing is exactly that wide. */
  spanPx: number;
  color: string;
  light: string;
}

/** A tarantula from the side, head to the right, standing on the line y = 0. */
export function Tarantula({ spanPx, color, light }: Props) {
  const px = (share: number) => share * spanPx;
  const leg = Math.max(1.2, px(0.045));
  return (
    <G>
      {LEGS.map(({ foot, knee, hip }) => (
        <Path
          key={foot}
          d={`M ${px(hip)} ${-px(0.12)} Q ${px(knee.x * 0.75)} ${-px(knee.y)} ${px(knee.x)} ${-px(knee.y * 0.8)} Q ${px(
            foot * 0.95,
          )} ${-px(knee.y * 0.5)} ${px(foot) - Math.sign(foot) * (leg / 2)} ${-leg / 2}`}
          fill="none"
          stroke={color}
          strokeWidth={leg}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      <Ellipse cx={px(-0.14)} cy={-px(0.14)} rx={px(0.14)} ry={px(0.1)} fill={light} stroke={color} strokeWidth={leg * 0.4} />
      <Ellipse cx={px(0.07)} cy={-px(0.12)} rx={px(0.1)} ry={px(0.065)} fill={color} />
    </G>
  );
}
