import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { Calculator, CardLine } from '@/core/handbook/card';
import { LinkRow } from '../components/LinkRow';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space, target } from '../theme/tokens';
import { cardGround, cardLabel, cardValue, TOOL_WORDS } from '@/words/card';
import { useTemperature } from '@/words/temperature';

interface Props {
  lines: readonly CardLine[];
  toolFor: (tool: Calculator) => () => void;
}

/** The numbers of one part: a tap opens what each rests on, and the calculator that reckons with it. */
export function CardPartLines({ lines, toolFor }: Props) {
  return (
    <View>
      {lines.map((line, index) => (
        <Line key={`${line.key} ${line.rule?.id ?? ''} ${index}`} line={line} onTool={toolFor(line.tool)} />
      ))}
    </View>
  );
}

function Line({ line, onTool }: { line: CardLine; onTool: () => void }) {
  const styles = useStyles();
  const temperature = useTemperature();
  const [isOpen, setOpen] = useState(false);
  const value = cardValue(line, temperature.long);
  const label = cardLabel(line);
  const ground = cardGround(line);
  return (
    <View style={styles.line}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${label}: ${value}. ${ground}`}
        onPress={() => setOpen(!isOpen)}
        style={styles.head}
      >
        <View style={styles.words}>
          <Strong>{label}</Strong>
          <Body>{value}</Body>
        </View>
        <Soft style={styles.ground}>{ground}</Soft>
      </Pressable>
      {isOpen ? (
        <View style={styles.open}>
          {line.rule ? <Body>{line.rule.why}</Body> : null}
          {line.source === undefined ? null : <Body>{line.source}</Body>}
          <LinkRow links={[{ title: TOOL_WORDS[line.tool], onPress: onTool }]} />
        </View>
      ) : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  line: { borderBottomWidth: 1, borderBottomColor: theme.colors.line },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: target, paddingVertical: space.s },
  words: { flex: 3, gap: space.hair },
  ground: { flex: 2, textAlign: 'right' },
  open: { paddingBottom: space.s },
}));
