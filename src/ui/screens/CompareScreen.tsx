import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { fitOf, sectionOf, withSoil } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useRanking } from '@/client/useRanking';
import type { Home, Resident } from '@/contract/records';
import type { Check, FitAnswer } from '@/core/housing/fit';
import type { RankedHome } from '@/core/housing/rank';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD, useStatusInk } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Name, Soft, Strong, Title } from '../components/Words';
import { NobodyHere } from '../residents/NobodyHere';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { pxPerMmFor } from '../drawings/scale';
import { space } from '../theme/tokens';
import { checkNumbers } from '@/words/checks';
import { calledWords, containerWords, lifeWords } from '@/words/residents';
import { useLength } from '@/words/useLength';

/** So many of the best other boxes are offered; all are under "Other boxes". */
const OFFERED = 8;

/** Two boxes for one animal, drawn at one scale, rule beside rule. */
export function CompareScreen({ residentId, withId }: { residentId: string; withId: string | undefined }) {
  const loading = useLoadState();
  const { resident, present, ranking } = useRanking(residentId);
  if (loading) return <Screen>{loading}</Screen>;
  if (!resident || !present) return <NobodyHere />;
  return <Comparison key={resident.id} resident={resident} present={present} ranking={ranking} withId={withId} />;
}

interface Props {
  resident: Resident;
  present: Home;
  ranking: RankedHome[];
  withId: string | undefined;
}

function Comparison({ resident, present, ranking, withId }: Props) {
  const styles = useStyles();
  const length = useLength();
  const { homes, care } = useHouse();
  const others = ranking.filter((each) => each.homeId !== present.id);
  const [otherId, setOtherId] = useState(withId ?? others[0]?.homeId);
  const [width, setWidth] = useState(0);
  const other = homes.find((home) => home.id === otherId);
  const depthMm = ranking.find((each) => each.homeId === otherId)?.depthMm;
  // The home it lives in as it stands; the other as it would be filled.
  const sides = [present, ...(other && depthMm !== undefined ? [{ ...other, ...withSoil(other, depthMm) }] : [])].map(
    (home) => ({ home, plan: sectionOf(care, home, resident), fit: fitOf(care, home, resident) }),
  );
  const column = (width - space.m) / 2;
  const pxPerMm = Math.min(...sides.map(({ plan }) => pxPerMmFor(plan, column, true)));
  const offered = others.filter((each, index) => index < OFFERED || each.homeId === otherId);
  return (
    <Screen>
      <PaneHeader back={`/residents/${resident.id}`} title="Back" />
      <Title>Compare boxes</Title>
      <Name>{resident.scientificName}</Name>
      <Soft>{`${calledWords(resident)}, ${lifeWords(resident, length)}`}</Soft>
      <View style={{ marginVertical: space.m }}>
        {others.length === 0 ? <Body>There is no other box it could live in.</Body> : null}
        <Choices
          label="Compare with"
          choices={offered.map(({ homeId, code }) => ({ value: homeId, title: code }))}
          value={otherId}
          onChange={setOtherId}
        />
      </View>
      <View style={styles.columns} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
        {sides.map(({ home, plan, fit }) => (
          <View key={home.id} style={styles.column}>
            <Strong>{home.id === present.id ? `${home.code}, now` : `${home.code}, filled for it`}</Strong>
            <Soft>{containerWords(home, length)}</Soft>
            <Verdict fit={fit} />
            {width > 0 ? <MeasuredSection plan={plan} fit={fit} subject={home.code} pxPerMm={pxPerMm} /> : null}
          </View>
        ))}
      </View>
      {sides[0] && sides[1] ? <RuleByRule left={sides[0].fit} right={sides[1].fit} /> : null}
      {other ? (
        <LinkRow
          links={[
            {
              title: `Build sheet for ${other.code}`,
              onPress: () => router.push(`/build?homes=${other.id}&for=${resident.id}`),
            },
            { title: 'Move it', onPress: () => router.push(`/residents/${resident.id}/boxes`) },
          ]}
        />
      ) : null}
    </Screen>
  );
}

function Verdict({ fit }: { fit: FitAnswer }) {
  const ink = useStatusInk(fit.verdict);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }}>
      <StatusMark status={fit.verdict} />
      <Strong style={{ color: ink }}>{STATUS_WORD[fit.verdict]}</Strong>
    </View>
  );
}

/** Every rule with both its numbers, those that differ in verdict first. */
function RuleByRule({ left, right }: { left: FitAnswer; right: FitAnswer }) {
  const styles = useStyles();
  const rules = [...new Set([...left.checks, ...right.checks].map((check) => check.rule))];
  const pairs = rules.map((rule) => {
    const [a, b] = [left, right].map((fit) => fit.checks.find((check) => check.rule === rule));
    return { rule, a, b, differs: a?.status !== b?.status };
  });
  pairs.sort((one, two) => Number(two.differs) - Number(one.differs));
  return (
    <View style={{ marginTop: space.m }}>
      {pairs.map(({ rule, a, b }) => (
        <View key={rule} style={styles.rule}>
          <RuleSide check={a} />
          <RuleSide check={b} />
        </View>
      ))}
    </View>
  );
}

function RuleSide({ check }: { check: Check | undefined }) {
  const styles = useStyles();
  const length = useLength();
  if (!check) return <Soft style={styles.column}>not checked</Soft>;
  return (
    <View style={[styles.column, { flexDirection: 'row', gap: space.s }]}>
      <StatusMark status={check.status} />
      <View style={{ flex: 1 }}>
        <Body>{check.title}</Body>
        <Soft>{checkNumbers(check, length)}</Soft>
      </View>
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  columns: { flexDirection: 'row', gap: space.m },
  column: { flex: 1, minWidth: 0 },
  rule: {
    flexDirection: 'row',
    gap: space.m,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
  },
}));
