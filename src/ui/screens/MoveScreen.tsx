import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { soilEntry } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { openPaper } from '@/client/paper';
import { useLog, type NewEntry } from '@/client/log';
import { useMoveSteps } from '@/client/moveSteps';
import { useCall } from '@/client/useCall';
import type { Handling } from '@/contract/handling';
import type { Home, Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { useConfirm } from '../kit/useConfirm';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { TickCircle } from '../components/TickCircle';
import { useAskedOnce } from '../components/useAskedOnce';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, LargeName, Soft, Strong } from '../components/Words';
import { QuietPanel, useQuiet } from '../residents/QuietPanel';
import { circle, space, stroke } from '../theme/tokens';
import { onceDrilledWords } from '@/words/build';
import { countWords } from '@/words/count';
import { dayWords } from '@/words/days';
import { CALL_FIRST, moveSoilWords, PART_TITLES } from '@/words/handling';
import { useLength } from '@/words/useLength';
import { Waiting } from '../kit/Waiting';

/**
 * The handling sheet of one move: what lies ready, each step to be ticked off, and what to do if it gets out.
 * @param to the home that was chosen by hand; left out, the move that is settled
 */
export function MoveScreen({ id, to: chosenId }: { id: string; to?: string | undefined }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === id));
  const homes = useHouse((house) => house.homes);
  const round = useHouse((house) => house.round);
  const { answer, problem, again } = useCall(round, () =>
    call('handling', { params: { id }, query: { ...(chosenId !== undefined && { to: chosenId }) } }),
  );
  const home = homes.find((each) => each.id === resident?.homeId);
  const to = homes.find((each) => each.id === answer?.move?.toHomeId);
  if (!resident || !home || !answer) {
    return (
      <Screen>
        <Back id={id} chosenId={chosenId} />
        <Waiting {...{ problem, again }}>Looking it up…</Waiting>
      </Screen>
    );
  }
  return <Sheet sheet={answer} resident={resident} home={home} to={to} today={round?.on ?? ''} />;
}

/** To the boxes that it was chosen from, or to all moves. */
function Back({ id, chosenId }: { id: string; chosenId: string | undefined }) {
  return chosenId === undefined ? (
    <PaneHeader back="/seasons?part=moves" title="Moves" />
  ) : (
    <PaneHeader back={`/residents/${id}/boxes`} title="Boxes" />
  );
}

interface SheetProps {
  sheet: Handling;
  resident: Resident;
  home: Home;
  to: Home | undefined;
  today: string;
}

function Sheet({ sheet, resident, home, to, today }: SheetProps) {
  const styles = useStyles();
  const length = useLength();
  const writeMany = useLog((log) => log.writeMany);
  const { move, tools, steps, escape } = sheet;
  const sheetId = move?.id ?? `${resident.id} ${move?.toHomeId ?? ''}`;
  const isQuiet = useQuiet(resident.id) !== null;
  const { isAsked, mayDo } = useAskedOnce(isQuiet, `move to ${to?.id}`);
  const done = useMoveSteps((state) => state.done[sheetId] ?? NONE);
  const { toggle, clear } = useMoveSteps.getState();
  const [isWriting, setWriting] = useState(false);
  const unticked = steps.filter(({ id, part }) => part !== 'after' && !done.includes(id));
  const { ask, dialog } = useConfirm();
  const isIn = async (skipped: string[]) => {
    if (!move || !to || !mayDo()) return;
    setWriting(true);
    const residentId = resident.id;
    const entries: NewEntry[] = [
      { kind: 'moved', residentId, homeId: to.id, ...(isQuiet && { insist: true }) },
      ...(move.depthMm === to.substrateDepthMm ? [] : [soilEntry(to, move.depthMm)]),
      ...(done.includes('label') ? [{ kind: 'labelled', residentId } as const] : []),
      ...(skipped.length > 0 ? [{ kind: 'noted', residentId, note: skippedWords(to.code, skipped) } as const] : []),
    ];
    if (await writeMany(entries, `${resident.called ?? resident.scientificName} lives in ${to.code} now.`)) {
      clear(sheetId);
      router.replace(`/residents/${residentId}`);
    }
    setWriting(false);
  };
  // A move that had to be made at once is written down as it was.
  const askSkipped = () =>
    ask({
      title: `Not ticked: ${countWords(unticked.length, 'step')}`,
      text: `Was it moved without ${unticked.length === 1 ? 'it' : 'them'}? Then they go into its log as left out. What was done is ticked first. ${unticked.map(({ text }) => text).join(' ')}`,
      act: unticked.length === 1 ? 'Moved without it' : 'Moved without them',
      run: () => isIn(unticked.map(({ text }) => text)),
    });
  return (
    <Screen
      actions={
        move && to ? (
          <>
            <Button
              grow
              rank={isQuiet ? 'second' : 'main'}
              title={`It is in ${to.code}${isAsked ? ' all the same' : ''}`}
              disabled={isWriting}
              onPress={() => (unticked.length === 0 ? void isIn([]) : askSkipped())}
            />
            <Button
              rank="second"
              title="Print"
              onPress={() => openPaper('handling', { resident: resident.id, to: to.id })}
            />
          </>
        ) : (
          <Button grow title="Find a box" onPress={() => router.push(`/residents/${resident.id}/boxes`)} />
        )
      }
    >
      {dialog}
      <Back id={resident.id} chosenId={move?.id === null ? move.toHomeId : undefined} />
      <LargeName>{resident.scientificName}</LargeName>
      <Strong>
        {to
          ? `${home.code} to ${to.code}, ${dayWords(move?.on ?? today, today)}`
          : `Lives in ${home.code}. No move is settled.`}
      </Strong>
      {move?.drill && to ? <Strong>{`${to.code} is a home ${onceDrilledWords(move.drill, length)}`}</Strong> : null}
      {move && to ? <Soft>{moveSoilWords(move, to.code, length, today)}</Soft> : null}
      {move && to ? (
        <QuietPanel
          residentId={resident.id}
          more={
            isAsked
              ? 'Moving it now can cost it a leg or its life. Only if it is in danger where it is: then tap again.'
              : 'It is not moved now, unless it is in danger where it is.'
          }
        />
      ) : null}
      <Heading style={styles.heading}>Lies ready</Heading>
      {tools.map((tool) => (
        <Body key={tool}>{`– ${tool}`}</Body>
      ))}
      {(['before', 'move', 'after'] as const).map((part) => (
        <View key={part}>
          <Heading style={styles.heading}>{PART_TITLES[part]}</Heading>
          {steps
            .filter((step) => step.part === part)
            .map((step) => (
              <View key={step.id} style={styles.step}>
                <Body style={styles.text}>{step.text}</Body>
                <TickCircle label={step.text} done={done.includes(step.id)} onPress={() => toggle(sheetId, step.id)} />
              </View>
            ))}
        </View>
      ))}
      <View style={styles.escape}>
        <Heading>If it gets out</Heading>
        {escape.map((line, index) => (
          <Body key={line}>{`${index + 1}. ${line}`}</Body>
        ))}
        <Soft>{CALL_FIRST}</Soft>
      </View>
    </Screen>
  );
}

const NONE: readonly string[] = [];

/** As long as a note may be. */
const MOST_NOTED = 500;
const skippedWords = (code: string, steps: string[]) =>
  `Moved to ${code} without: ${steps.join(' ')}`.slice(0, MOST_NOTED);

const useStyles = makeStyles((theme) => ({
  heading: { marginTop: space.l },
  step: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: circle + space.s,
    borderBottomWidth: stroke.thin,
    borderBottomColor: theme.colors.line,
  },
  text: { flex: 1 },
  escape: {
    gap: space.s,
    marginTop: space.xl,
    paddingLeft: space.m,
    borderLeftWidth: stroke.mark * 2,
    borderLeftColor: theme.colors.amber,
  },
}));
