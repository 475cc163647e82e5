import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { Check } from '@/core/housing/fit';
import { StatusMark, STATUS_WORD, useStatusInk } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space, target } from '../theme/tokens';
import { checkNumbers, inputWords, limitWords } from '../words/checks';
import { useLength } from '../words/useLength';

const ORDER = { fail: 0, watch: 1, pass: 2 } as const;

/** Every rule with its verdict, the worst first; a tap shows what it rests on. */
export function CheckList({ checks, schoolName }: { checks: Check[]; schoolName: (id: string) => string }) {
  const worstFirst = [...checks].sort((a, b) => ORDER[a.status] - ORDER[b.status]);
  return (
    <View>
      {worstFirst.map((check) => (
        <CheckRow key={check.rule} check={check} schoolName={schoolName} />
      ))}
    </View>
  );
}

function CheckRow({ check, schoolName }: { check: Check; schoolName: (id: string) => string }) {
  const styles = useStyles();
  const length = useLength();
  const ink = useStatusInk(check.status);
  const [isOpen, setOpen] = useState(false);
  const loud = check.status === 'pass' ? undefined : { color: ink };
  const { grounds } = check;
  const numbers = inputWords(check, length);
  return (
    <View style={styles.row}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${STATUS_WORD[check.status]}: ${check.title} ${checkNumbers(check, length)}. Grounds`}
        onPress={() => setOpen(!isOpen)}
        style={styles.head}
      >
        <StatusMark status={check.status} />
        <View style={styles.words}>
          <Strong>{check.title}</Strong>
          <Soft>{`${grounds.basis}${grounds.school ? `, ${schoolName(grounds.school)}` : ''}`}</Soft>
        </View>
        <Strong style={loud}>{checkNumbers(check, length)}</Strong>
      </Pressable>
      {isOpen ? (
        <View style={styles.grounds}>
          <Body>{grounds.why}</Body>
          <Soft>{`Limit here: ${limitWords(check, length)}${numbers ? `, from ${numbers}` : ''}.`}</Soft>
          <Soft>{`Rests on: ${grounds.basis}${grounds.source ? ` (${grounds.source})` : ''}. Rule: ${grounds.rule}.`}</Soft>
        </View>
      ) : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  row: { borderBottomWidth: 1, borderBottomColor: theme.colors.line },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: target + space.s,
    paddingVertical: space.s,
  },
  words: { flex: 1, gap: space.hair },
  grounds: { gap: space.s, paddingBottom: space.m, paddingLeft: space.xl + space.s },
}));
