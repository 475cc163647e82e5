import { call } from '@/client/api';
import { useCall } from '@/client/useCall';
import { Screen } from '../components/Screen';
import { Strong, Title } from '../components/Words';
import { dateWords } from '@/words/days';
import { SheetBody } from '../seasons/SheetBody';
import { Waiting } from '../kit/Waiting';

/** What whoever looks in sees: the sheet and nothing else of the house. */
export function SitterScreen({ secret }: { secret: string }) {
  const { answer, problem, again } = useCall(secret, () => call('sitterPage', { params: { secret } }));
  return (
    <Screen>
      <Title>Looking in</Title>
      {answer ? (
        <>
          <Strong>{`${answer.sitter === null ? '' : `For ${answer.sitter}. `}${dateWords(answer.from)} to ${dateWords(answer.until)}`}</Strong>
          <SheetBody sheet={answer} forSitter />
        </>
      ) : (
        <Waiting {...{ problem, again }}>Fetching the sheet…</Waiting>
      )}
    </Screen>
  );
}
