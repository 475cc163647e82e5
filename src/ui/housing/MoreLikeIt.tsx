import { router } from 'expo-router';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { codeAfter } from '@/core/housing/codes';
import { countWords } from '@/words/count';
import { Body, Soft } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { Sheet } from '../kit/Sheet';

/** So many at once, at most; the server holds to the same. */
const MOST = 200;

/** More boxes like one: how many, and which codes they get. */
export function MoreLikeIt({ home, onDone }: { home: Home; onDone: () => void }) {
  const { homes, load } = useHouse();
  const show = useLog((log) => log.show);
  const taken = homes.map(({ code }) => code);
  const next = codeAfter(home.code, taken) ?? '';
  const form = useFields({ count: '1', firstCode: next });
  const { count, firstCode } = form.values;
  const number = /^\d+$/.test(count.trim()) ? Number(count) : 0;
  const isRight = number >= 1 && number <= MOST;
  const last = isRight && number > 1 ? codeAfter(firstCode.trim(), taken, number - 1) : null;
  const save = async () => {
    const first = firstCode.trim();
    const body = { count: number, ...(first !== next && { firstCode: first }) };
    const { homes: made } = await call('copyHome', { params: { id: home.id }, body });
    await load();
    show({ text: `${countWords(made.length, 'box', 'boxes')} added: ${made.map(({ code }) => code).join(', ')}.` });
    onDone();
    router.replace('/homes');
  };
  return (
    <Sheet title={`More like ${home.code}`} onClose={onDone}>
      <Form form={form} act={isRight ? `Add ${countWords(number, 'box', 'boxes')}` : 'Add'} save={save}>
        <Body>Empty boxes of the same size, filled and opened alike, on the same shelf.</Body>
        <FormField
          control={form.control}
          name="count"
          label="How many"
          check={() => isRight || `A whole number from 1 to ${MOST}.`}
          steps={{ least: 1, most: MOST }}
        />
        <FormField control={form.control} name="firstCode" label="First code" />
        {last === null ? null : <Soft>{`Up to ${last}; codes that are taken are passed over.`}</Soft>}
      </Form>
    </Sheet>
  );
}
