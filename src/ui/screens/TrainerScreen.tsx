import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { fitOf, sectionOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { usePreferences } from '@/client/preferences';
import { useCall } from '@/client/useCall';
import type { TrainingCase } from '@/contract/handbook';
import { Button } from '../kit/Button';
import { Failed } from '../kit/Failed';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { ANSWER_WORDS, CASE_WORDS, caseQuestion } from '@/words/training';
import { useLength } from '@/words/useLength';
import { listWords } from '@/words/count';

/** Short cases out of this house, answered and explained by the same engines that plan its work. */
export function TrainerScreen() {
  const loading = useLoadState();
  const keeper = usePreferences((preferences) => preferences.keeper.trim());
  const [seed, setSeed] = useState(() => Math.floor(Math.random() * 1_000_000));
  const [at, setAt] = useState(0);
  const [tally, setTally] = useState({ right: 0, asked: 0 });
  const { answer, problem } = useCall(seed, () => call('trainingCases', { query: { seed } }));
  const [kept, setKept] = useState(0);
  const tallies = useCall(kept, () => call('training', {}));
  if (loading) return <Screen>{loading}</Screen>;
  const one = answer?.cases[at];
  const again = () => {
    setSeed(Math.floor(Math.random() * 1_000_000));
    setAt(0);
    setTally({ right: 0, asked: 0 });
  };
  const told = async (isRight: boolean) => {
    const { kind } = one as TrainingCase;
    setTally({ right: tally.right + (isRight ? 1 : 0), asked: tally.asked + 1 });
    // Without a name nothing is kept: the trainer is open to everybody.
    if (keeper === '') return;
    await call('addTrainingAnswer', { body: { keeper, kind, isRight } }).catch(() => undefined);
    setKept((count) => count + 1);
  };
  return (
    <Screen>
      <PaneHeader back="/handbook" title="Handbook" />
      <Title>Trainer</Title>
      <Soft>
        {keeper === ''
          ? 'What would you do? Write who you are under More, and your answers are kept.'
          : `What would you do, ${keeper}? Your answers are kept for the house.`}
      </Soft>
      {problem !== undefined ? <Failed {...{ problem, again }} /> : null}
      {answer?.cases.length === 0 ? <Body>Nobody lives here yet: there is nothing to ask about.</Body> : null}
      {answer && answer.cases.length > 0 ? (
        <Strong
          style={{ marginTop: space.m }}
        >{`Case ${Math.min(at + 1, answer.cases.length)} of ${answer.cases.length}, ${tally.right} of ${tally.asked} right`}</Strong>
      ) : null}
      {one ? <Case key={one.id} one={one} onTold={told} onNext={() => setAt(at + 1)} /> : null}
      {answer && answer.cases.length > 0 && !one ? (
        <View style={{ gap: space.m, marginTop: space.l }}>
          <Strong>{`${tally.right} of ${tally.asked} right.`}</Strong>
          <Button title="Other cases" onPress={again} />
        </View>
      ) : null}
      {(tallies.answer?.tallies ?? []).length > 0 ? (
        <View style={{ gap: space.s, marginTop: space.xxl }}>
          <Heading>Who has answered</Heading>
          {tallies.answer?.tallies.map(({ keeper: name, kinds }) => (
            <View key={name}>
              <Strong>{name}</Strong>
              <Soft>
                {kinds
                  .map(({ kind, right, asked }) => `${CASE_WORDS[kind].toLowerCase()} ${right} of ${asked}`)
                  .join(', ')}
              </Soft>
            </View>
          ))}
        </View>
      ) : null}
    </Screen>
  );
}

interface CaseProps {
  one: TrainingCase;
  onTold: (isRight: boolean) => Promise<void>;
  onNext: () => void;
}

function Case({ one, onTold, onNext }: CaseProps) {
  const styles = useStyles();
  const length = useLength();
  const { care, residents, homes } = useHouse();
  const [given, setGiven] = useState<string | null>(null);
  const resident = residents.find(({ id }) => id === one.residentId);
  const other = residents.find(({ id }) => id === one.otherId);
  const home = homes.find(({ id }) => id === one.homeId);
  if (!resident) return <Button title="Next case" onPress={onNext} />;
  const isRight = given === one.right;
  const answer = (choice: string) => {
    setGiven(choice);
    void onTold(choice === one.right);
  };
  return (
    <View style={styles.case}>
      <Heading>{CASE_WORDS[one.kind]}</Heading>
      <Name>{resident.scientificName}</Name>
      {other ? <Name>{other.scientificName}</Name> : null}
      <Soft>{listWords([resident, other].flatMap((each) => (each ? [calledWords(each)] : [])))}</Soft>
      {one.kind === 'fit' && home ? (
        <MeasuredSection
          plan={sectionOf(care, home, resident)}
          // Before it is answered nothing on the drawing tells.
          fit={given === null ? { ...fitOf(care, home, resident), checks: [] } : fitOf(care, home, resident)}
          subject={home.code}
        />
      ) : null}
      <Body>{caseQuestion(one, resident, home, length)}</Body>
      {one.seen.map((line) => (
        <Body key={line}>{`– ${line}`}</Body>
      ))}
      <View role="group" aria-label="What do you do?" style={styles.answers}>
        {one.answers.map((choice) => (
          <Button
            key={choice}
            rank={given !== null && choice === one.right ? 'main' : 'second'}
            title={ANSWER_WORDS[one.kind][choice] ?? choice}
            disabled={given !== null && choice !== one.right && choice !== given}
            onPress={() => (given === null ? answer(choice) : undefined)}
          />
        ))}
      </View>
      {given === null ? null : (
        <View role="status" style={styles.why}>
          <View style={styles.verdict}>
            <StatusMark status={isRight ? 'pass' : 'fail'} />
            <Strong>
              {isRight ? 'So it is.' : `Rather: ${(ANSWER_WORDS[one.kind][one.right] ?? one.right).toLowerCase()}.`}
            </Strong>
          </View>
          {one.why.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
          <Soft>{one.basis}</Soft>
          <Button title="Next case" onPress={onNext} />
        </View>
      )}
    </View>
  );
}

const useStyles = makeStyles(() => ({
  case: { gap: space.s, marginTop: space.l },
  answers: { gap: space.s, marginTop: space.m },
  why: { gap: space.s, marginTop: space.l },
  verdict: { flexDirection: 'row', alignItems: 'center', gap: space.s },
}));
