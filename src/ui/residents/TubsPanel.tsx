import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { colonyWorker } from '@/client/colonyWorker';
import type { ColonyFacts } from '@/contract/colony';
import type { PopulationKind } from '@/core/colony/kind';
import type { TubsPlan } from '@/core/colony/tubs';
import { addDays, type Day } from '@/core/measure/day';
import { Field } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { Waiting } from '../kit/Waiting';
import { Body, Soft } from '../components/Words';
import { headCountIn } from '../forms/checks';
import { space } from '../theme/tokens';
import { headsWords } from '@/words/colony';
import { dayWords } from '@/words/days';
import { countWords } from '@/words/count';

interface Props {
  facts: ColonyFacts;
  kind: PopulationKind;
  today: Day;
}

/** A tub is begun with so many grown ones. Common practice: 5 to 12, so that they meet */
const FOUNDERS = 10;

/** How many tubs like this one a weekly need takes. */
export function TubsPanel({ facts, kind, today }: Props) {
  const [need, setNeed] = useState('');
  const perWeek = headCountIn(need);
  return (
    <View style={{ marginTop: space.l }}>
      <Fold title="Tubs for a weekly need">
        <View style={{ gap: space.m }}>
          <Field label="Grown ones wanted a week" value={need} onChange={setNeed} keyboard="number-pad" />
          {perWeek === undefined ? null : <Tubs facts={facts} kind={kind} today={today} perWeek={perWeek} />}
          <Soft>
            {`A new tub is begun with about ${FOUNDERS} grown ones and old soil. One new tub a month from each founding ` +
              'group keeps a line young, and a second one safe when the first crashes.'}
          </Soft>
        </View>
      </Fold>
    </View>
  );
}

function Tubs({ facts, kind, today, perWeek }: Props & { perWeek: number }) {
  const { roomForHeads, temperatureC } = facts;
  const litresPerTub = (roomForHeads ?? 0) / (kind.headsPerL?.value ?? 1);
  const [plan, setPlan] = useState<TubsPlan>();
  useEffect(() => {
    let isCurrent = true;
    const question = { kind, needPerWeek: perWeek, litresPerTub, temperatureC, founders: FOUNDERS };
    void colonyWorker()
      .tubs(question)
      .then((answer) => isCurrent && setPlan(answer));
    return () => {
      isCurrent = false;
    };
  }, [kind, perWeek, litresPerTub, temperatureC]);
  if (!plan) return <Waiting>Counting tubs…</Waiting>;
  if (plan.tubs === null) return <Body>A tub like this one bears no harvest at this warmth.</Body>;
  const ready =
    plan.readyWeeks === null
      ? 'A new one does not fill within two years.'
      : `One begun today bears from about ${dayWords(addDays(today, 7 * plan.readyWeeks), today)} on.`;
  return (
    <Body>
      {`${countWords(plan.tubs, 'tub')} like this one: each gives about ${headsWords(plan.harvestPerTub)} a week once half full, with ${plan.keepBack} kept in it. ${ready}`}
    </Body>
  );
}
