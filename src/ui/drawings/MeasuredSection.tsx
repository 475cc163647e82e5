import { useState } from 'react';
import { View } from 'react-native';
import type { FitAnswer } from '@/core/housing/fit';
import type { SectionPlan } from '@/core/housing/section';
import { useLength } from '@/words/useLength';
import { scaleOf } from './scale';
import { Section } from './Section';
import { SoilHandle } from './SoilHandle';

interface Props {
  plan: SectionPlan;
  fit: FitAnswer | null;
  subject: string;
  /** Given where the soil can be dragged. */
  onDepth?: (depthMm: number) => void;
  /** Beside another drawing, both are drawn at one scale. */
  pxPerMm?: number | undefined;
  /** Finds the picture in the page, to save it. */
  testID?: string;
}

/** The section as wide as the pane it stands in. */
export function MeasuredSection({ plan, fit, subject, onDepth, pxPerMm, testID }: Props) {
  const length = useLength();
  const [width, setWidth] = useState(0);
  const failing = fit?.checks.filter((check) => check.status === 'fail').map((check) => check.title) ?? [];
  const boxMm = plan.floor.rightMm - plan.floor.leftMm;
  const label = [
    `Section through ${subject}, ${length.long(boxMm)} wide and ${length.long(plan.heightMm)} high inside`,
    `soil ${length.long(plan.depthMm)} deep, gap to the lid ${length.long(plan.gapMm)}`,
    ...(failing.length > 0 ? [`failing: ${failing.join(', ')}`] : []),
  ].join('; ');
  const scale = scaleOf(plan, width, pxPerMm);
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ minHeight: 120 }} testID={testID}>
      {width > 0 ? (
        <View>
          <View role="img" aria-label={label}>
            <Section plan={plan} fit={fit} length={length} scale={scale} />
          </View>
          {onDepth ? (
            <SoilHandle plan={plan} scale={scale} words={length.long(plan.depthMm)} onChange={onDepth} />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}
