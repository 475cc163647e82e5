import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { ResidentBatch } from '@/contract/growth';
import type { Resident } from '@/contract/records';
import { InstarBars } from '../charts/InstarBars';
import { SurvivalSteps, type Course } from '../charts/SurvivalSteps';
import { Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { Failed } from '../kit/Failed';
import { instarsWords } from '@/words/entries';
import { alikeWords, comparedWords, missingWords, survivalWords } from '@/words/groups';

type Survival = ResidentBatch['survival'];
/** More lines than this cannot be told apart. */
const COMPARED = 3;

/** A group by its heads: who is how far, and how many live on beside other batches of the kind. */
export function GroupHeads({ resident }: { resident: Resident }) {
  const round = useHouse((house) => house.round);
  const {
    answer: batch,
    problem,
    again,
  } = useCall(round, () => call('residentBatch', { params: { id: resident.id } }));
  if (problem !== undefined) return <Failed {...{ problem, again }} />;
  if (!batch || batch.survival.total === 0) return null;
  const told = Object.keys(batch.instars).length > 0;
  const missing = missingWords(batch.missing);
  const others = batch.compared.slice(0, COMPARED).map((each) => courseOf(each.name, each.survival));
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>Heads</Heading>
      {told ? (
        <>
          <Strong>{instarsWords(batch.instars)}</Strong>
          <InstarBars label={`Instars: ${instarsWords(batch.instars)}.`} instars={batch.instars} />
        </>
      ) : null}
      <Strong>{survivalWords(batch.survival)}</Strong>
      {batch.survival.deaths > 0 ? (
        <SurvivalSteps
          label={`Survival since they came: ${survivalWords(batch.survival)}`}
          own={courseOf('these', batch.survival)}
          others={others}
        />
      ) : null}
      {batch.compared.slice(0, COMPARED).map((each) => (
        <Soft key={each.residentId}>
          {[
            `Dashed, ${each.name}${each.isHere ? '' : ' (gone)'}: ${comparedWords(each.survival, batch.survival.followed)}`,
            alikeWords(each.logRank),
          ]
            .filter(Boolean)
            .join(' ')}
        </Soft>
      ))}
      {missing === null ? null : <Soft>{missing}</Soft>}
      <Soft>
        By Kaplan and Meier, shaded the bounds that hold in 95 of 100 cases. Those passed on count as long as they were
        here; of those that died, the first that came are taken to be the first that went.
      </Soft>
    </View>
  );
}

const courseOf = (name: string, { steps, followed }: Survival): Course => ({ name, steps, until: followed });
