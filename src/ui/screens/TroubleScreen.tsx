import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { ResidentTrouble } from '@/contract/handbook';
import type { Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { CauseCard } from '../handbook/CauseCard';
import { SignAnswers, type SignAnswer } from '../handbook/SignAnswers';
import { TriedBefore } from '../handbook/TriedBefore';
import { useDiagnosis } from '../handbook/useDiagnosis';
import { Cautions } from '../residents/Cautions';
import { NobodyHere } from '../residents/NobodyHere';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { boxSignWords, nextLookWords, stepWords } from '@/words/trouble';
import { Waiting } from '../kit/Waiting';

/** Something is wrong: what is seen and what the box says, to likely causes, the next look, and what to leave alone. */
export function TroubleScreen({ residentId }: { residentId: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === residentId));
  const round = useHouse((house) => house.round);
  const loading = useLoadState();
  const { answer, problem, again } = useCall(round, () => call('residentTrouble', { params: { id: residentId } }));
  if (loading) return <Screen>{loading}</Screen>;
  if (!resident) return <NobodyHere />;
  return answer ? (
    <Finder key={residentId} resident={resident} trouble={answer} />
  ) : (
    <Screen>
      <PaneHeader back={`/residents/${resident.id}`} title={calledWords(resident)} />
      <Waiting {...{ problem, again }}>Looking it up…</Waiting>
    </Screen>
  );
}

/** So many causes are shown whole, the others by name; and so many looks are proposed. */
const SHOWN = 3;

function Finder({ resident, trouble }: { resident: Resident; trouble: ResidentTrouble }) {
  const { table, box, tried } = trouble;
  const write = useLog((log) => log.write);
  const [answers, setAnswers] = useState<Record<string, SignAnswer>>({});
  const [attempt, setAttempt] = useState('');
  const [isWriting, setWriting] = useState(false);
  const told = (wanted: SignAnswer) => Object.keys(answers).filter((id) => answers[id] === wanted);
  const [seen, notSeen] = [told('yes'), told('no')];
  const { diagnosis, signs } = useDiagnosis(trouble, answers);
  const causeOf = (id: string) => table.causes.find((each) => each.id === id);
  const titleOf = (id: string) =>
    [...table.signs, ...table.boxSigns, ...table.causes].find((each) => each.id === id)?.title ?? id;
  const [first] = diagnosis.ranked;
  const keep = async () => {
    setWriting(true);
    const entry = {
      ...{ kind: 'trouble' as const, residentId: resident.id, seen, notSeen },
      ...(first && { cause: first.id }),
      ...(attempt.trim() !== '' && { tried: attempt.trim() }),
    };
    if (await write(entry, `${calledWords(resident)}: what was seen and tried is kept.`)) {
      setAnswers({});
      setAttempt('');
    }
    setWriting(false);
  };
  return (
    <Screen
      actions={
        <View style={{ flex: 1, gap: space.s }}>
          {seen.length + notSeen.length > 0 && first ? (
            <Strong>{`Likeliest: ${titleOf(first.id).toLowerCase()}, ${Math.round(first.pct)} %`}</Strong>
          ) : null}
          <Button title="Keep this" disabled={isWriting || seen.length === 0} onPress={() => void keep()} />
        </View>
      }
    >
      <PaneHeader back={`/residents/${resident.id}`} title={calledWords(resident)} />
      <Title>Something wrong</Title>
      <Name>{resident.scientificName}</Name>
      <Cautions who={resident} before="open" />
      <View style={{ gap: space.s, marginTop: space.l }}>
        <Heading>What do you see?</Heading>
        <SignAnswers
          signs={signs}
          answers={answers}
          onAnswer={(id, answer) => setAnswers((before) => ({ ...before, [id]: answer }))}
        />
      </View>
      {diagnosis.contradicting.length > 0 ? (
        <Strong style={{ marginTop: space.m }} role="alert">
          {`By what is known these cannot all be so: ${diagnosis.contradicting.map(titleOf).join('; ')}. Look again; both are kept.`}
        </Strong>
      ) : null}
      <View style={{ gap: space.m, marginTop: space.xl }} role="status">
        <Heading>Likely causes</Heading>
        <Soft>
          Signs are taken as if each came by itself, so these are surer than they should be. The table is from memory.
        </Soft>
        {diagnosis.ranked.slice(0, SHOWN).map(({ id, pct, usualPct }) => {
          const cause = causeOf(id);
          return cause ? <CauseCard key={id} cause={cause} pct={pct} usualPct={usualPct} /> : null;
        })}
        <Soft>
          {`Then: ${diagnosis.ranked
            .slice(SHOWN, SHOWN + 4)
            .map(({ id, pct }) => `${titleOf(id).toLowerCase()} ${Math.round(pct)} %`)
            .join(', ')}`}
        </Soft>
      </View>
      <View style={{ gap: space.s, marginTop: space.xl }}>
        <Heading>Look next</Heading>
        {diagnosis.next.length === 0 ? <Body>Nothing else on the list would settle more.</Body> : null}
        {diagnosis.next.slice(0, SHOWN).map((look) => (
          <Body key={look.sign}>{nextLookWords(look, titleOf)}</Body>
        ))}
      </View>
      <View style={{ gap: space.s, marginTop: space.xl }}>
        <Heading>Leave alone</Heading>
        {[...table.never, ...(first ? (causeOf(first.id)?.leaveAlone ?? []) : [])].map((line) => (
          <Body key={line}>{line}</Body>
        ))}
        <Soft>No treatment is given here: for that ask a veterinarian who knows invertebrates.</Soft>
      </View>
      <View style={{ marginTop: space.l }}>
        <Fold title="What its box says">
          <View style={{ gap: space.xs }}>
            {box.map((sign) => (
              <Soft key={sign.id}>{boxSignWords(sign, titleOf(sign.id))}</Soft>
            ))}
          </View>
        </Fold>
        <Fold title="How that came about">
          <View style={{ gap: space.xs }}>
            {diagnosis.steps.map((step) => (
              <Soft key={step.sign}>{stepWords(step, diagnosis.causes, titleOf)}</Soft>
            ))}
          </View>
        </Fold>
      </View>
      <View style={{ gap: space.m, marginTop: space.l }}>
        <Field label="What you try" value={attempt} onChange={setAttempt} hint="Kept, and shown here the next time." />
      </View>
      <TriedBefore tried={tried} titleOf={titleOf} />
    </Screen>
  );
}
