import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { ScoreBoard } from '@/contract/scores';
import { countWords, pct } from '@/words/count';
import {
  correctionWords,
  heldWords,
  naiveWords,
  refusalWords,
  replayedWords,
  SCORED_WORDS,
  verdictWords,
} from '@/words/scores';
import { Reliability } from '../charts/Reliability';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** How often what was forecast in this house came true, engine by engine. */
export function ScoresScreen() {
  const styles = useStyles();
  const round = useHouse((house) => house.round);
  const loading = useLoadState();
  const { answer, problem, again } = useCall(round?.on, () => call('scores', {}));
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen isWhole>
      <PaneHeader back="/settings" title="More" />
      <Title>How true the forecasts came</Title>
      <Body>
        A window of 80 % is meant to hold eight times in ten. Every window is kept as it was shown first; when the thing
        has happened, it is seen whether it held.
      </Body>
      {answer ? null : <Waiting {...{ problem, again }}>Looking back over what was forecast…</Waiting>}
      {answer ? (
        <View style={styles.engines}>
          {answer.engines.map((engine) => (
            <EngineScore key={engine.engine} engine={engine} />
          ))}
          <Refusals refusals={answer.refusals} />
        </View>
      ) : null}
    </Screen>
  );
}

function EngineScore({ engine }: { engine: ScoreBoard['engines'][number] }) {
  const styles = useStyles();
  const care = useHouse((house) => house.care);
  const feeders = useHouse((house) => house.feeders);
  const { title, window } = SCORED_WORDS[engine.engine];
  const nameOf = (kind: string) =>
    care.has(kind) ? care.of({ profile: kind }).name : (feeders.find(({ id }) => id === kind)?.plural ?? kind);
  const lines = [verdictWords(engine), naiveWords(engine), correctionWords(engine), replayedWords(engine)];
  return (
    <View style={styles.engine}>
      <Heading>{title}</Heading>
      <Soft>{`The window: ${window}.`}</Soft>
      <Strong>{heldWords(engine)}</Strong>
      {engine.reliability.length > 0 ? (
        <Reliability
          points={engine.reliability}
          label={`${title}: how often it had come by the day that was to hold so often. ${engine.reliability
            .map(({ saidPct, camePct }) => `Said ${pct(saidPct)}, came ${pct(camePct)}`)
            .join('; ')}.`}
        />
      ) : null}
      {lines.map((text) => (text === null ? null : <Body key={text}>{text}</Body>))}
      {engine.byKind.length > 1 ? (
        <View>
          {engine.byKind.map(({ kind, windows, held }) => (
            <View key={kind} style={styles.kind}>
              <Soft style={styles.name}>{nameOf(kind)}</Soft>
              <Soft>{`${held} of ${countWords(windows, 'window')}`}</Soft>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}

function Refusals({ refusals }: { refusals: ScoreBoard['refusals'] }) {
  const styles = useStyles();
  return (
    <View style={styles.engine}>
      <Heading>Refusals</Heading>
      <Soft>The chance that an offer is refused, by its kind and by how close the next moult is.</Soft>
      <Strong>{refusalWords(refusals)}</Strong>
      {refusals.reliability.map(({ saidPct, camePct, count }) => (
        <View key={saidPct} style={styles.kind}>
          <Soft style={styles.name}>{`Where about ${pct(saidPct)} was said`}</Soft>
          <Soft>{`${pct(camePct)} of ${countWords(count, 'offer')}`}</Soft>
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles(() => ({
  // One column on a phone, two or three where there is room: none so narrow that its picture cannot be read.
  engines: { flexDirection: 'row', flexWrap: 'wrap', gap: space.xl, columnGap: space.xxl, marginTop: space.l },
  engine: { gap: space.s, flexGrow: 1, flexShrink: 1, flexBasis: 320, maxWidth: 520 },
  kind: { flexDirection: 'row', gap: space.m, paddingVertical: space.xs },
  name: { flex: 1 },
}));
