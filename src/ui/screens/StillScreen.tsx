import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { StillnessReply } from '@/contract/growth';
import type { Resident } from '@/contract/records';
import { daysBetween } from '@/core/measure/day';
import { Button } from '../components/Button';
import { Field } from '../components/Field';
import { Fold } from '../components/Fold';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Toggles } from '../components/Toggles';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { numberIn } from '../forms/checks';
import { space } from '../theme/tokens';
import { calledWords } from '../words/residents';
import { stillGrounds, stillVerdict } from '../words/still';

/** Dead or moulting? How long, what is seen, what that makes likely, and what not to do. */
export function StillScreen({ residentId }: { residentId: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === residentId));
  const today = useHouse((house) => house.round?.on);
  const loading = useLoadState();
  if (loading || today === undefined) return <Screen>{loading}</Screen>;
  if (!resident) {
    return (
      <Screen>
        <PaneHeader back="/residents" title="Residents" />
        <Body>There is no animal here.</Body>
      </Screen>
    );
  }
  return <Guide resident={resident} today={today} />;
}

/** What shows that it lived: it ate, moulted, was measured, was seen to move. */
const LIVED = 'eaten,moulted,measured,taken-in,moved,looked';

function Guide({ resident, today }: { resident: Resident; today: string }) {
  const styles = useStyles();
  const write = useLog((log) => log.write);
  const [days, setDays] = useState<string | null>(null);
  const [seen, setSeen] = useState<string[]>([]);
  const [premoultPct, setPremoult] = useState<number>();
  const [answer, setAnswer] = useState<StillnessReply | null>(null);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let isCurrent = true;
    const params = { id: resident.id };
    void Promise.all([call('history', { params, query: { kinds: LIVED } }), call('residentMoult', { params })]).then(
      ([history, moult]) => {
        if (!isCurrent) return;
        const last = history.entries[0]?.on ?? resident.takenInOn;
        setDays((typed) => typed ?? String(Math.max(0, daysBetween(last, today))));
        if (moult.forecast.next) setPremoult(moult.forecast.premoultPct);
      },
      (error: unknown) => isCurrent && setProblem(problemOf(error)),
    );
    return () => {
      isCurrent = false;
    };
  }, [resident, today]);
  const daysStill = numberIn(days ?? '');
  useEffect(() => {
    if (daysStill === undefined || daysStill < 0 || daysStill > 2000) return undefined;
    let isCurrent = true;
    const body = { profile: resident.profile, daysStill, seen, ...(premoultPct !== undefined && { premoultPct }) };
    call('stillness', { body }).then(
      (reply) => isCurrent && setAnswer(reply),
      (error: unknown) => isCurrent && setProblem(problemOf(error)),
    );
    return () => {
      isCurrent = false;
    };
  }, [resident.profile, daysStill, seen, premoultPct]);
  const verdict = answer && stillVerdict(answer);
  const looked = async () => {
    const note = `Dead or moulting? ${verdict?.title ?? ''}`.slice(0, 500);
    if (await write({ kind: 'looked', residentId: resident.id, note }, `${calledWords(resident)}: looked at.`))
      router.back();
  };
  return (
    <Screen
      actions={
        <>
          <Button grow title="Write down that I looked" disabled={!answer} onPress={() => void looked()} />
        </>
      }
    >
      <PaneHeader back={`/residents/${resident.id}`} title={calledWords(resident)} />
      <Title>Dead or moulting?</Title>
      <Name>{resident.scientificName}</Name>
      {problem !== undefined ? <Body>{problem}</Body> : null}
      {answer && verdict ? (
        <View style={styles.verdict} role="status">
          <StatusMark status={verdict.status} />
          <Strong style={styles.words}>{verdict.title}</Strong>
        </View>
      ) : null}
      <View style={styles.part}>
        <Field
          label="Days since it was last seen to move or eat"
          value={days ?? ''}
          onChange={setDays}
          keyboard="number-pad"
          hint="From the log; put in what you know better."
          problem={days !== null && (daysStill === undefined || daysStill < 0) ? 'A number of days from 0.' : undefined}
        />
        {answer ? (
          <>
            <Heading>What do you see?</Heading>
            <Toggles
              label="Seen"
              choices={answer.findings.map(({ id, title }) => ({ value: id, title }))}
              values={seen}
              onChange={setSeen}
            />
          </>
        ) : null}
      </View>
      {answer ? (
        <View style={styles.part}>
          <Lines title="What not to do" lines={answer.notToDo} />
          <Lines title="How to look" lines={answer.howToLook} />
          <Lines title="What to look for" lines={answer.lookFor} />
          <Lines title="When to worry" lines={[answer.worry]} />
          <Fold title="What this rests on">
            <View style={{ gap: space.xs }}>
              {stillGrounds(answer).map((line) => (
                <Soft key={line}>{line}</Soft>
              ))}
              {premoultPct === undefined ? null : (
                <Soft>{`A moult is close by its log with ${Math.round(premoultPct)} %: that is counted in.`}</Soft>
              )}
              <Soft>Never called dead by the days alone: that takes a sign on the animal itself.</Soft>
            </View>
          </Fold>
        </View>
      ) : null}
    </Screen>
  );
}

function Lines({ title, lines }: { title: string; lines: string[] }) {
  return (
    <View style={{ gap: space.xs }}>
      <Heading>{title}</Heading>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  verdict: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    padding: space.m,
    marginTop: space.m,
    backgroundColor: theme.colors.resting,
  },
  words: { flex: 1 },
  part: { gap: space.l, marginTop: space.l },
}));
