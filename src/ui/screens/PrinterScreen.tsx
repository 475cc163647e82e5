import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import { countWords } from '@/words/count';
import { dayWords, timeWords } from '@/words/days';
import { capital } from '@/words/text';
import { PaneHeader } from '../components/PaneHeader';
import { saveFrom } from '../components/saveFile';
import { Screen } from '../components/Screen';
import { Body, Soft, Strong, Title } from '../components/Words';
import { ListRow } from '../kit/ListRow';
import { Waiting } from '../kit/Waiting';
import { space } from '../theme/tokens';

/** The label printer: what it is, and what came out of it. */
export function PrinterScreen() {
  const today = useHouse((house) => house.round?.on ?? '');
  const { answer, problem, again } = useCall('printer', () => call('labelPrinter', {}));
  return (
    <Screen>
      <PaneHeader back="/labels" title="Labels" />
      <Title>Label printer</Title>
      {answer ? (
        <View style={{ gap: space.m }}>
          <Body>
            {answer.isSimulated
              ? 'No printer is set up: a simulated one stands in, and puts what it prints into a folder as PDF. A real one is named by VB_LABEL_PRINTER when the server is started.'
              : `${answer.name}.`}
          </Body>
          {answer.folder === null ? null : <Soft>{`Its folder is ${answer.folder}.`}</Soft>}
          {answer.prints.length === 0 ? <Body>Nothing came out of it yet.</Body> : null}
          <View>
            {answer.prints.map(({ id, printedAt, labels }) => {
              const when = `${capital(dayWords(printedAt.slice(0, 10), today))}, ${timeWords(printedAt)}`;
              return (
                <ListRow
                  key={id}
                  label={`Save what was printed ${when} as PDF`}
                  onPress={() => saveFrom(`/api/label-prints/${id}.pdf`)}
                >
                  <Strong>{when}</Strong>
                  <Soft>{countWords(labels, 'label')}</Soft>
                </ListRow>
              );
            })}
          </View>
        </View>
      ) : (
        <Waiting {...{ problem, again }}>Asking the printer…</Waiting>
      )}
    </Screen>
  );
}
