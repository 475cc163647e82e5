import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { FitAnswer } from '@/core/housing/fit';
import { parseLength } from '@/core/measure/length';
import { Field } from '../kit/Field';
import { Icon } from '../components/Icon';
import { makeStyles } from '../components/useStyles';
import { Soft } from '../components/Words';
import { radius, space, stroke, target } from '../theme/tokens';
import type { LengthWords } from '@/words/lengths';
import { useLength } from '@/words/useLength';

const STEP_MM = 5;

interface Props {
  depthMm: number;
  heightMm: number;
  fit: FitAnswer | null;
  onChange: (depthMm: number) => void;
}

/** Tries another depth: by steps or by number; the drawing and the verdicts follow. */
export function DepthEditor({ depthMm, heightMm, fit, onChange }: Props) {
  const styles = useStyles();
  const length = useLength();
  // What is being typed, until the field is left; otherwise the field shows the depth.
  const [draft, setDraft] = useState<string | null>(null);
  const problem = draft === null ? undefined : readDepth(draft, heightMm, length).problem;
  const type = (typed: string) => {
    setDraft(typed);
    const { mm } = readDepth(typed, heightMm, length);
    if (mm !== undefined) onChange(mm);
  };
  const step = (by: number) => {
    setDraft(null);
    onChange(Math.min(heightMm, Math.max(0, Math.round(depthMm) + by)));
  };
  return (
    <View style={styles.all}>
      <View style={styles.row}>
        <StepButton label="Less soil" icon="Minus" onPress={() => step(-STEP_MM)} />
        <View style={styles.field}>
          <Field
            label={`Soil depth, ${length.unit}`}
            value={draft ?? length.short(depthMm)}
            onChange={type}
            onBlur={() => setDraft(null)}
            problem={problem}
            keyboard="decimal-pad"
          />
        </View>
        <StepButton label="More soil" icon="Plus" onPress={() => step(STEP_MM)} />
      </View>
      {fit ? <Soft>{bandWords(fit, length.long)}</Soft> : null}
    </View>
  );
}

/** A depth as typed: unlike other lengths it may be nothing at all. */
function readDepth(typed: string, heightMm: number, length: LengthWords): { mm?: number; problem?: string } {
  if (/^\s*0+([.,]0*)?\s*$/.test(typed)) return { mm: 0 };
  const parsed = parseLength(typed, length.unit);
  if (!parsed.ok) return { problem: parsed.problem };
  return parsed.mm > heightMm
    ? { problem: `At most ${length.long(heightMm)}: the box is no higher.` }
    : { mm: parsed.mm };
}

function bandWords(
  { substrateDepthMm: { min, max, conflict }, checks }: FitAnswer,
  long: (mm: number) => string,
): string {
  if (!conflict) return `Serves from ${long(min)} to ${long(max)}.`;
  const title = (rule: string) => checks.find((check) => check.rule === rule)?.title ?? rule;
  return `No depth of soil fits this box: “${title(conflict.lower)}” asks for at least ${long(min)}, “${title(conflict.upper)}” for at most ${long(max)}.`;
}

function StepButton({ label, icon, onPress }: { label: string; icon: 'Plus' | 'Minus'; onPress: () => void }) {
  const styles = useStyles();
  return (
    <Pressable role="button" aria-label={label} onPress={onPress} style={styles.step}>
      <Icon name={icon} />
    </Pressable>
  );
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s, paddingVertical: space.m },
  row: { flexDirection: 'row', alignItems: 'flex-end', gap: space.s },
  field: { flex: 1 },
  step: {
    width: target + space.s,
    height: target + space.xs,
    marginBottom: space.xs,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: stroke.line,
    borderColor: theme.colors.ink,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
}));
