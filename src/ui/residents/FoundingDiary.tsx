import { View } from 'react-native';
import { useLog } from '@/client/log';
import type { ColonyFacts } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { stageWords } from '@/words/colony';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';

interface Props {
  resident: Resident;
  facts: ColonyFacts;
  founding: NonNullable<ColonyFacts['founding']>;
}

/** A founding queen: what was seen with her and when, when her first workers are due, and that she is left in peace. */
export function FoundingDiary({ resident, facts, founding }: Props) {
  const write = useLog((log) => log.write);
  const { asOf, kind } = facts;
  const { seen, firstWorkers, isLate, food, beganOn } = founding;
  const next = kind?.young.find((stage) => seen[stage.id] === undefined);
  const note = (stage: string) =>
    void write(
      { kind: 'brood-seen', residentId: resident.id, stage },
      `${calledWords(resident)}: first ${stageWords(stage)} seen.`,
    );
  return (
    <View style={{ gap: space.xs, marginTop: space.xl }}>
      <Heading>Founding</Heading>
      {firstWorkers ? (
        <Strong>
          {`First workers about ${dayWords(firstWorkers.median, asOf)}, between ${dayWords(firstWorkers.p10, asOf)} and ${dayWords(firstWorkers.p90, asOf)}`}
        </Strong>
      ) : (
        <Strong>It is too cold for her brood to grow.</Strong>
      )}
      <Body>
        {food === 'none'
          ? 'She has sealed herself in: no food until the first workers, and no disturbing. Water through the cotton is enough.'
          : 'This kind does not seal itself in: a little food now and then, and no disturbing.'}
      </Body>
      {isLate ? (
        <Body>
          Nine of ten queens would have workers by now: look once, in dim light. Eggs that never change may not be
          fertile.
        </Body>
      ) : null}
      <Soft>{`Began ${dayWords(beganOn, asOf)}`}</Soft>
      {(kind?.young ?? [])
        .filter((stage) => seen[stage.id] !== undefined)
        .map((stage) => (
          <Soft key={stage.id}>{`First ${stageWords(stage.id)} seen ${dayWords(seen[stage.id] ?? '', asOf)}`}</Soft>
        ))}
      {next ? (
        <Button rank="second" title={`First ${stageWords(next.id)} seen today`} onPress={() => note(next.id)} />
      ) : null}
      <Soft>Look through the side no more than once a week; a cover of red foil helps.</Soft>
    </View>
  );
}
