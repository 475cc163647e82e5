import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import Svg, { Line } from 'react-native-svg';
import { IconButton } from '../components/IconButton';
import { makeStyles, useTheme } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { fonts, space, stroke, target, type } from '../theme/tokens';
import type { ChartData, ChartRow, ChartSeries } from './reader';

interface Props {
  data: ChartData;
  /** Under the finger. */
  row: ChartRow | undefined;
  title: string;
}

/** Under a chart: what each line of it is, and what it says where the finger is; the whole as a table. */
export function Reading({ data, row, title }: Props) {
  const styles = useStyles();
  const [isTable, setTable] = useState(false);
  return (
    <View>
      <View style={styles.line}>
        <View style={styles.words} aria-live="polite">
          {row ? <Strong style={styles.small}>{row.head}</Strong> : null}
          {data.series.map((series, index) => (
            <View key={series.name} style={styles.one}>
              <Swatch {...series} />
              <Soft>{row ? `${series.name} ${row.cells[index] || 'none'}` : series.name}</Soft>
            </View>
          ))}
        </View>
        <IconButton
          label={`${isTable ? 'Close the table' : 'As a table'}: ${title}`}
          icon={isTable ? 'X' : 'Table'}
          onPress={() => setTable(!isTable)}
        />
      </View>
      {isTable ? <Table data={data} title={title} /> : null}
    </View>
  );
}

function Swatch({ color, isDashed }: ChartSeries) {
  if (color === undefined) return null;
  return (
    <Svg width={18} height={10} aria-hidden>
      <Line
        x1={0}
        x2={18}
        y1={5}
        y2={5}
        stroke={color}
        strokeWidth={stroke.mark}
        {...(isDashed && { strokeDasharray: '5 4' })}
      />
    </Svg>
  );
}

/** As many rows as a reader goes through; a finer course is thinned out evenly. Chosen here */
const MOST_ROWS = 60;

function Table({ data: { of, series, rows }, title }: { data: ChartData; title: string }) {
  const styles = useStyles();
  const { theme } = useTheme();
  const all = rows();
  const each = Math.ceil(all.length / MOST_ROWS);
  const cell = (words: string, role: 'columnheader' | 'rowheader' | 'cell', key: number) => (
    <View key={key} role={role as 'cell'} style={styles.cell}>
      {role === 'columnheader' ? (
        <Strong style={styles.small}>{words}</Strong>
      ) : (
        <Soft style={{ color: theme.colors.ink }}>{words}</Soft>
      )}
    </View>
  );
  return (
    <ScrollView style={styles.table} {...{ tabIndex: 0, role: 'region', 'aria-label': `Table: ${title}` }}>
      <View role="table">
        <View role="row" style={styles.row}>
          {[of, ...series.map(({ name }) => name)].map((name, index) => cell(name, 'columnheader', index))}
        </View>
        {all
          .filter((_, index) => index % each === 0)
          .map((row) => (
            <View key={`${row.at} ${row.head}`} role="row" style={styles.row}>
              {[row.head, ...row.cells].map((words, index) => cell(words, index === 0 ? 'rowheader' : 'cell', index))}
            </View>
          ))}
      </View>
    </ScrollView>
  );
}

const useStyles = makeStyles((theme) => ({
  line: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: target },
  words: { flex: 1, flexDirection: 'row', flexWrap: 'wrap', columnGap: space.m, alignItems: 'center' },
  one: { flexDirection: 'row', alignItems: 'center', gap: space.xs },
  small: { fontFamily: fonts.bold, fontSize: type.small },
  table: { maxHeight: 320, borderWidth: stroke.thin, borderColor: theme.colors.line },
  row: { flexDirection: 'row', borderBottomWidth: stroke.thin, borderBottomColor: theme.colors.line },
  cell: { flex: 1, padding: space.s },
}));
