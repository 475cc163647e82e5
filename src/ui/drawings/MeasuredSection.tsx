import { useState } from 'react';
import { View } from 'react-native';
import type { FitAnswer } from '@/core/housing/fit';
import type { SectionPlan } from '@/core/housing/section';
import { useLength } from '../words/useLength';
import { Section } from './Section';

/** The section as wide as the pane it stands in. */
export function MeasuredSection({ plan, fit, subject }: { plan: SectionPlan; fit: FitAnswer | null; subject: string }) {
  const length = useLength();
  const [width, setWidth] = useState(0);
  const failing = fit?.checks.filter((check) => check.status === 'fail').map((check) => check.title) ?? [];
  const label = [
    `Section through ${subject}, ${length.long(plan.widthMm)} wide and ${length.long(plan.heightMm)} high inside`,
    `soil ${length.long(plan.depthMm)} deep, gap to the lid ${length.long(plan.gapMm)}`,
    ...(failing.length > 0 ? [`failing: ${failing.join(', ')}`] : []),
  ].join('; ');
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ minHeight: 120 }}>
      {width > 0 ? <Section plan={plan} fit={fit} length={length} width={width} label={label} /> : null}
    </View>
  );
}
