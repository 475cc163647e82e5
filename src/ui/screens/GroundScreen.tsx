import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { call } from '@/client/api';
import { useCall } from '@/client/useCall';
import type { Ground, WeighedNumber } from '@/contract/ground';
import { pct, shortNumber } from '@/words/count';
import { basisRowWords, groundWords, hangsWords, movedWords, QUESTION_WORDS } from '@/words/ground';
import { ShareBar } from '../charts/ShareBar';
import { LinkRow } from '../components/LinkRow';
import { ListScreen } from '../components/ListScreen';
import { PaneHeader } from '../components/PaneHeader';
import { useKept } from '../components/places';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Fold } from '../kit/Fold';
import { SearchField } from '../kit/SearchField';
import { Waiting } from '../kit/Waiting';
import { space, target } from '../theme/tokens';

const STEP = 50;
/** Of the answers that a number moves so many are read. */
const SHOWN = 8;

/** What the numbers of the program rest on, heaviest first, and how much hangs on each. */
export function GroundScreen() {
  const [typed, setTyped] = useKept('/handbook/ground search', '');
  const [most, setMost] = useState(STEP);
  const find = typed.trim();
  const query = { most, ...(find !== '' && { find }) };
  const { answer, problem, again } = useCall(`${find} ${most}`, () => call('ground', { query }));
  const heaviest = answer?.summary.heaviest ?? 1;
  return (
    <ListScreen
      place="/handbook/ground"
      items={answer?.numbers ?? []}
      keyOf={({ id }) => id}
      row={(number) => <NumberRow number={number} heaviest={heaviest} />}
      header={
        <View style={{ gap: space.m }}>
          <PaneHeader back="/handbook" title="Handbook" />
          <Title>What rests on what</Title>
          <Body>
            Every verdict and forecast is reckoned from numbers. Here they stand by how many answers another value would
            change, over one animal of every kind at every stage and all of the example house.
          </Body>
          {answer ? (
            <Summary summary={answer.summary} />
          ) : (
            <Waiting {...{ problem, again }}>Looking up the numbers…</Waiting>
          )}
          <SearchField label="Find a kind, soil or feeder" value={typed} onChange={setTyped} />
          {answer && answer.found === 0 ? <Body>{`No number with “${find}”.`}</Body> : null}
        </View>
      }
      footer={
        answer && answer.found > answer.numbers.length ? (
          <LinkRow
            links={[
              {
                title: `${STEP} more of ${answer.found.toLocaleString('en-GB')}`,
                onPress: () => setMost(Math.min(500, most + STEP)),
              },
            ]}
          />
        ) : null
      }
    />
  );
}

function Summary({ summary }: { summary: Ground['summary'] }) {
  const { byBasis, byQuestion, halfIn, numbers } = summary;
  const shares = byBasis.map((row) => ({
    title: basisRowWords(row),
    pct: row.weightPct,
    tone: row.hasSpread || row.basis.startsWith('published') ? ('firm' as const) : ('loose' as const),
  }));
  return (
    <View style={{ gap: space.m }}>
      <ShareBar shares={shares} label="What the answers rest on, by how much hangs on it" />
      <Soft>{`${halfIn} of ${numbers.toLocaleString('en-GB')} numbers carry half of all that hangs on them.`}</Soft>
      <Fold title="By what is asked">
        <View>
          {byQuestion
            .filter(({ weightPct }) => weightPct >= 0.5)
            .sort((a, b) => b.weightPct - a.weightPct)
            .map(({ question, weightPct }) => (
              <Body key={question}>{`${QUESTION_WORDS[question]} ${pct(weightPct)}`}</Body>
            ))}
        </View>
      </Fold>
    </View>
  );
}

function NumberRow({ number, heaviest }: { number: WeighedNumber; heaviest: number }) {
  const styles = useStyles();
  const [isOpen, setOpen] = useState(false);
  const { of, sentence, value, rank, weight } = number;
  const title = `${of}: ${sentence}`;
  return (
    <View style={styles.row}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${rank === null ? '' : `${rank}. `}${title} ${shortNumber(value)}. ${groundWords(number)}`}
        onPress={() => setOpen(!isOpen)}
        style={styles.head}
      >
        <View style={styles.words}>
          <Strong>{of}</Strong>
          <Body>{sentence}</Body>
          <View style={styles.track}>
            <View style={[styles.weight, { width: `${Math.max(1, (100 * weight) / heaviest)}%` }]} />
          </View>
          <Soft>{groundWords(number)}</Soft>
        </View>
        <Heading style={styles.value}>{shortNumber(value)}</Heading>
      </Pressable>
      {isOpen ? <Hanging number={number} /> : null}
    </View>
  );
}

/** The answers that it moves, asked when it is opened. */
function Hanging({ number }: { number: WeighedNumber }) {
  const styles = useStyles();
  const { answer, problem, again } = useCall(number.id, async () =>
    number.isCount || number.weight === 0 ? null : call('sensitivity', { body: { number: number.id } }),
  );
  if (number.isCount) return <Soft style={styles.open}>A whole count: it is so, or it is not.</Soft>;
  if (number.weight === 0) return <Soft style={styles.open}>{hangsWords(number)}</Soft>;
  if (!answer) return <Waiting {...{ problem, again }}>Asking everything again with another value…</Waiting>;
  return (
    <View style={styles.open}>
      {number.source === undefined ? null : <Body>{number.source}</Body>}
      <Soft>{hangsWords(number)}</Soft>
      <Strong>{`At ${shortNumber(answer.lower)}, and at ${shortNumber(answer.higher)}`}</Strong>
      {answer.answers.slice(0, SHOWN).map((each, index) => (
        <View key={index}>
          <Soft>{each.who}</Soft>
          <Body>{movedWords(each)}</Body>
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  row: { borderBottomWidth: 1, borderBottomColor: theme.colors.line },
  head: { flexDirection: 'row', alignItems: 'flex-start', gap: space.m, minHeight: target, paddingVertical: space.m },
  words: { flex: 1, gap: space.xs },
  value: { minWidth: 56, textAlign: 'right' },
  track: { height: 6, backgroundColor: theme.colors.air },
  weight: { height: 6, backgroundColor: theme.colors.inkSoft },
  open: { gap: space.s, paddingBottom: space.m },
}));
