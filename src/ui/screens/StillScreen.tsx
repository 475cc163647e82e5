import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import { hadItsLastMoult, moultsNoMore } from '@/core/growth/moulting';
import { daysBetween } from '@/core/measure/day';
import { Failed } from '../kit/Failed';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Toggles } from '../kit/Toggles';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { NobodyHere } from '../residents/NobodyHere';
import { numberIn } from '@/core/measure/typedNumber';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { stillGrounds, stillTitle, stillVerdict } from '@/words/still';

/** Dead, moulting or at rest? How long, what is seen, what that makes likely, and what not to do. */
export function StillScreen({ residentId }: { residentId: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === residentId));
  const today = useHouse((house) => house.round?.on);
  const loading = useLoadState();
  if (loading || today === undefined) return <Screen>{loading}</Screen>;
  if (!resident) return <NobodyHere />;
  return <Guide resident={resident} today={today} />;
}

/** What shows that it lived. That somebody looked does not: a still one is looked at too. */
const LIVED = 'eaten,moulted,measured,taken-in,moved';

function Guide({ resident, today }: { resident: Resident; today: string }) {
  const styles = useStyles();
  const write = useLog((log) => log.write);
  const [typed, setTyped] = useState<string | null>(null);
  const [seen, setSeen] = useState<string[]>([]);
  const params = { id: resident.id };
  const log = useCall(resident, () =>
    Promise.all([call('history', { params, query: { kinds: LIVED } }), call('residentMoult', { params })]),
  );
  const profile = useHouse((house) => house.care).of(resident);
  const title = stillTitle(profile, resident.stage);
  const [history, moult] = log.answer ?? [];
  const lastOn = history && (history.entries[0]?.on ?? resident.takenInOn);
  const days = typed ?? (lastOn === undefined ? '' : String(Math.max(0, daysBetween(lastOn, today))));
  const daysStill = numberIn(days);
  const isNumber = daysStill !== undefined && daysStill >= 0 && daysStill <= 2000;
  // Of a grown one no moult explains that it lies still; of others for which none is foretold nobody can say.
  const isGrown = hadItsLastMoult(profile, resident.stage);
  const premoultPct = moult?.forecast.next ? moult.forecast.premoultPct : isGrown ? 0 : undefined;
  const asked = { profile: resident.profile, seen, ...(premoultPct !== undefined && { premoultPct }) };
  const guide = useCall(JSON.stringify([asked, daysStill]), async () =>
    isNumber && moult ? call('stillness', { body: { ...asked, daysStill } }) : null,
  );
  const { answer } = guide;
  const problem = log.problem ?? guide.problem;
  const { again } = log.problem === undefined ? guide : log;
  const verdict = answer && stillVerdict(answer, !moultsNoMore(profile, resident.stage));
  const looked = async () => {
    const note = `${title} ${verdict?.title ?? ''}`.slice(0, 500);
    if (await write({ kind: 'looked', residentId: resident.id, note }, `${calledWords(resident)}: looked at.`))
      router.back();
  };
  return (
    <Screen actions={<Button grow title="Write down that I looked" disabled={!answer} onPress={() => void looked()} />}>
      <PaneHeader back={`/residents/${resident.id}`} title={calledWords(resident)} />
      <Title>{title}</Title>
      <Name>{resident.scientificName}</Name>
      <Cautions who={resident} before="soil" />
      {problem !== undefined ? <Failed {...{ problem, again }} /> : null}
      {answer && verdict ? (
        <View style={styles.verdict} role="status">
          <StatusMark status={verdict.status} />
          <Strong style={styles.words}>{verdict.title}</Strong>
        </View>
      ) : null}
      <View style={styles.part}>
        <Field
          label="Days since it was last seen to move or eat"
          value={days}
          onChange={setTyped}
          keyboard="number-pad"
          hint="From the log; put in what you know better."
          problem={days !== '' && !isNumber ? 'A number of days from 0 to 2000.' : undefined}
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
              {isGrown ? <Soft>It is grown: no moult explains its stillness, and that is counted in.</Soft> : null}
              {premoultPct === undefined || isGrown ? null : (
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
