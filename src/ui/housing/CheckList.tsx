import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { Resident } from '@/contract/records';
import type { Check, FitAnswer } from '@/core/housing/fit';
import { LinkRow } from '../components/LinkRow';
import { StatusMark, STATUS_WORD, useStatusInk } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space, target } from '../theme/tokens';
import { KeptSo } from './KeptSo';
import { checkNumbers, inputWords, limitWords, marksOf, notCheckedWords, worstFirst } from '@/words/checks';
import { useLength } from '@/words/useLength';

interface Props {
  fit: FitAnswer;
  schoolName: (id: string) => string;
  /** Whose home it is: what its keeper keeps so on purpose is settled there. Left out, nothing can be settled. */
  resident?: Resident | undefined;
}

/** Every rule with its verdict, the worst first; a tap shows what it rests on. */
export function CheckList({ fit, schoolName, resident }: Props) {
  const numbers = new Map(marksOf(fit.checks).map(({ check, number }) => [check, number]));
  const unknown = notCheckedWords(fit);
  return (
    <View>
      {worstFirst(fit.checks).map((check) => (
        <CheckRow key={check.rule} number={numbers.get(check)} {...{ check, schoolName, resident }} />
      ))}
      {unknown.length > 0 ? (
        <>
          <Soft style={{ paddingTop: space.m }}>{`Not said, and so not checked: ${unknown.join(', ')}.`}</Soft>
          {resident ? (
            <LinkRow links={[{ title: 'Say it', onPress: () => router.push(`/homes/${resident.homeId}/edit`) }]} />
          ) : null}
        </>
      ) : null}
    </View>
  );
}

interface RowProps {
  check: Check;
  number: number | undefined;
  schoolName: (id: string) => string;
  resident: Resident | undefined;
}

function CheckRow({ check, number, schoolName, resident }: RowProps) {
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
        <StatusMark status={check.status} number={number} />
        <View style={styles.words}>
          <Strong>{check.title}</Strong>
          {check.keptSo ? <Soft>{`kept so: ${check.keptSo.why}`}</Soft> : null}
          <Soft>{`${grounds.basis}${grounds.school ? `, ${schoolName(grounds.school)}` : ''}`}</Soft>
        </View>
        <Strong style={loud}>{checkNumbers(check, length)}</Strong>
      </Pressable>
      {isOpen ? (
        <View style={styles.grounds}>
          <Body>{grounds.why}</Body>
          <Soft>{`Limit here: ${limitWords(check, length)}${numbers ? `, from ${numbers}` : ''}.`}</Soft>
          <Soft>{`Rests on: ${grounds.basis}${grounds.source ? ` (${grounds.source})` : ''}. Rule: ${grounds.rule}.`}</Soft>
          {resident ? <KeptSo check={check} resident={resident} /> : null}
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
