import { Ellipse, G, Path } from 'react-native-svg';
import type { Silhouette, Stage } from '@/core/profiles/profile';
import { SHAPES, drawnAs, type Shape } from './silhouettes';
import { Tarantula } from './Tarantula';

interface Props {
  silhouette: Silhouette;
  stage: Stage;
  /** The taken measure in px: a leg span or a body length. */
  sizePx: number;
  color: string;
  light: string;
}

/** Under this a silhouette is a dot: its legs could not be told apart. px */
const LEAST_PX = 5;

/** An animal from the side at its measure, head to the right, standing on the line y = 0. */
export function Animal({ silhouette, stage, sizePx, color, light }: Props) {
  const drawn = drawnAs(silhouette, stage);
  if (sizePx < LEAST_PX) {
    return <Ellipse cx={0} cy={-sizePx * 0.3} rx={sizePx / 2} ry={Math.max(0.6, sizePx * 0.3)} fill={color} />;
  }
  if (drawn === 'tarantula') return <Tarantula spanPx={sizePx} color={color} light={light} />;
  const ink = { dark: color, light };
  return (
    <G transform={`scale(${sizePx})`}>
      {SHAPES[drawn].map((shape, index) => (
        <Part key={index} shape={shape} ink={ink[shape.tone]} />
      ))}
    </G>
  );
}

function Part({ shape, ink }: { shape: Shape; ink: string }) {
  switch (shape.form) {
    case 'ellipse':
      return <Ellipse cx={shape.cx} cy={shape.cy} rx={shape.rx} ry={shape.ry} fill={ink} />;
    case 'area':
      return <Path d={shape.d} fill={ink} />;
    case 'line':
      return (
        <Path
          d={shape.d}
          fill="none"
          stroke={ink}
          strokeWidth={shape.width}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      );
  }
}
