import { Ellipse, G, Path } from 'react-native-svg';

interface Leg {
  hip: number;
  knee: number;
  kneeHeight: number;
  foot: number;
}

/** The legs of the near side, as shares of the leg span, x from the middle; all feet stand on y = 0. */
const NEAR: Leg[] = [
  { hip: -0.02, knee: -0.34, kneeHeight: 0.27, foot: -0.5 },
  { hip: 0.01, knee: -0.2, kneeHeight: 0.31, foot: -0.29 },
  { hip: 0.08, knee: 0.24, kneeHeight: 0.32, foot: 0.33 },
  { hip: 0.11, knee: 0.36, kneeHeight: 0.27, foot: 0.5 },
];
/** Those of the far side show between them. */
const FAR: Leg[] = [
  { hip: -0.01, knee: -0.29, kneeHeight: 0.31, foot: -0.41 },
  { hip: 0.02, knee: -0.11, kneeHeight: 0.33, foot: -0.17 },
  { hip: 0.07, knee: 0.17, kneeHeight: 0.34, foot: 0.22 },
  { hip: 0.1, knee: 0.31, kneeHeight: 0.3, foot: 0.42 },
];
const BODY_HEIGHT = 0.13;

interface Props {
  /** Leg span in px; the drawing is exactly that wide. */
  spanPx: number;
  color: string;
  light: string;
}

/** A tarantula from the side, head to the right, standing on the line y = 0. */
export function Tarantula({ spanPx, color, light }: Props) {
  const px = (share: number) => share * spanPx;
  const thick = Math.max(1, px(0.038));
  const path = ({ hip, knee, kneeHeight, foot }: Leg) => {
    const end = px(foot) - Math.sign(foot) * (thick / 2);
    const lift = `M ${px(hip)} ${-px(BODY_HEIGHT)} Q ${px((hip + knee) / 2)} ${-px(kneeHeight)} ${px(knee)} ${-px(kneeHeight - 0.03)}`;
    return `${lift} Q ${px((knee + foot * 2) / 3)} ${-px(kneeHeight * 0.6)} ${end} ${-thick / 2}`;
  };
  const drawn = (leg: Leg, stroke: string) => (
    <Path
      key={leg.foot}
      d={path(leg)}
      fill="none"
      stroke={stroke}
      strokeWidth={thick}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
  return (
    <G>
      {FAR.map((leg) => drawn(leg, light))}
      <Ellipse
        cx={px(-0.13)}
        cy={-px(0.15)}
        rx={px(0.13)}
        ry={px(0.095)}
        fill={light}
        stroke={color}
        strokeWidth={thick * 0.5}
      />
      <Ellipse cx={px(0.07)} cy={-px(BODY_HEIGHT)} rx={px(0.1)} ry={px(0.06)} fill={color} />
      <Ellipse cx={px(0.18)} cy={-px(BODY_HEIGHT - 0.03)} rx={px(0.035)} ry={px(0.025)} fill={color} />
      {NEAR.map((leg) => drawn(leg, color))}
    </G>
  );
}
