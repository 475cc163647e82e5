import { G, Line, Path, Rect, Svg, Text } from 'react-native-svg';
import type { DrawnLabels } from '@/contract/labels';
import type { DrawnSquare } from '@/core/labels/drawLabel';
import { useTheme } from '../components/useStyles';
import { fonts } from '../theme/tokens';

const FAMILY = { text: fonts.text, bold: fonts.bold, name: fonts.name } as const;

/** A label as it will be printed, to scale; in the inks of the screen, for white paper would shine at night. */
export function LabelPicture({ label, widthPx }: { label: DrawnLabels['labels'][number]; widthPx: number }) {
  const { raised: paper, ink } = useTheme().theme.colors;
  const { widthMm, heightMm, texts, code, warning, path, squares } = label;
  const said = texts.map(({ text }) => text.trim()).join(' ');
  return (
    <Svg
      role="img"
      aria-label={`Label: ${said}`}
      width={widthPx}
      height={(widthPx * heightMm) / widthMm}
      viewBox={`0 0 ${widthMm} ${heightMm}`}
    >
      <Rect width={widthMm} height={heightMm} rx={1} fill={paper} />
      {texts.map(({ text, font, sizeMm, xMm, yMm }) => (
        <Text key={`${xMm} ${yMm}`} x={xMm} y={yMm} fontFamily={FAMILY[font]} fontSize={sizeMm} fill={ink}>
          {text.replace(/ /g, '\u00a0')}
        </Text>
      ))}
      {warning ? <Triangle {...warning} ink={ink} /> : null}
      <G transform={`translate(${code.xMm} ${code.yMm}) scale(${code.sizeMm / squares})`}>
        <Path d={path} fill={ink} />
      </G>
    </Svg>
  );
}

function Triangle({ xMm, yMm, sizeMm, ink }: DrawnSquare & { ink: string }) {
  const high = 0.88 * sizeMm;
  const middle = xMm + sizeMm / 2;
  const stroke = { stroke: ink, strokeWidth: 0.1 * sizeMm };
  return (
    <G>
      <Path d={`M${middle} ${yMm}L${xMm + sizeMm} ${yMm + high}H${xMm}Z`} fill="none" {...stroke} />
      <Line x1={middle} x2={middle} y1={yMm + 0.34 * high} y2={yMm + 0.66 * high} {...stroke} />
      <Line x1={middle} x2={middle} y1={yMm + 0.76 * high} y2={yMm + 0.86 * high} {...stroke} />
    </G>
  );
}
