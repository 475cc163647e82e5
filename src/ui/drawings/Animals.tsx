import { G } from 'react-native-svg';
import { Animal } from './Animal';
import type { PartProps } from './parts';

/** Those who live in a box, where they stand or hang, at their measure. */
export function Animals({ plan: { silhouette, stage, animals }, scale: { x, y, pxPerMm }, colors }: PartProps) {
  if (!silhouette || !stage) return null;
  return (
    <G>
      {animals.map(({ at, angleDeg, hangs, sizeMm }, index) => (
        <G
          key={index}
          transform={`translate(${x(at.x)} ${y(at.y)}) rotate(${-angleDeg})${hangs ? ' scale(1 -1)' : ''}`}
        >
          <Animal
            silhouette={silhouette}
            stage={stage}
            sizePx={sizeMm * pxPerMm}
            color={colors.animal}
            light={colors.animalLight}
          />
        </G>
      ))}
    </G>
  );
}
