import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { ResidentTrouble } from '@/contract/handbook';
import { TROUBLE_ENDS } from '@/core/trouble/table';
import { Choices } from '../kit/Choices';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { TROUBLE_END_WORDS } from '@/words/entries';

interface Props {
  tried: ResidentTrouble['tried'];
  titleOf: (id: string) => string;
}

/** What was tried with animals of this kind, and what came of it; what nobody has said yet is asked. */
export function TriedBefore({ tried, titleOf }: Props) {
  const today = useHouse((house) => house.round?.on ?? '');
  const write = useLog((log) => log.write);
  if (tried.length === 0) return null;
  const ends = TROUBLE_ENDS.map((value) => ({ value, title: TROUBLE_END_WORDS[value] }));
  return (
    <View style={{ gap: space.m, marginTop: space.xl }}>
      <Heading>Tried before, with its kind</Heading>
      {tried.map(({ id, residentId, called, on, cause, tried: attempt, seen, helped }) => (
        <View key={id} style={{ gap: space.xs }}>
          <Strong>{attempt ?? 'Nothing was done'}</Strong>
          <Soft>
            {`${called}, ${dayWords(on, today)}: ${seen.map((each) => titleOf(each).toLowerCase()).join(', ') || 'no sign'}${cause === null ? '' : `; taken for: ${titleOf(cause).toLowerCase()}`}`}
          </Soft>
          {helped === null ? (
            <Choices
              label={`What came of it, ${called}`}
              choices={ends}
              value={undefined}
              onChange={(end) =>
                void write(
                  { kind: 'trouble-after', residentId, troubleId: id, helped: end },
                  `${called}: ${TROUBLE_END_WORDS[end]}.`,
                )
              }
            />
          ) : (
            <Body>{TROUBLE_END_WORDS[helped]}</Body>
          )}
        </View>
      ))}
    </View>
  );
}
