import { G, Path, Rect, Svg, Text } from 'react-native-svg';
import type { DrawnLabels } from '@/contract/labels';
import type { DrawnSquare } from '@/core/labels/drawLabel';
import { warningStrokes } from '@/core/labels/warningStrokes';
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
      {warning ? <Warning {...warning} ink={ink} /> : null}
      <G transform={`translate(${code.xMm} ${code.yMm}) scale(${code.sizeMm / squares})`}>
        <Path d={path} fill={ink} />
      </G>
    </Svg>
  );
}

function Warning({ ink, ...square }: DrawnSquare & { ink: string }) {
  const { widthMm, lines } = warningStrokes(square);
  const path = lines.map((points) => `M${points.map((point) => point.join(' ')).join('L')}`).join('');
  return <Path d={path} fill="none" stroke={ink} strokeWidth={widthMm} strokeLinejoin="round" />;
}
