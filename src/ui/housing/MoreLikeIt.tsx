import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { codeAfter } from '@/core/housing/codes';
import { countWords } from '@/words/count';
import { Body, Soft } from '../components/Words';
import { useTyped } from '../forms/useTyped';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { Sheet } from '../kit/Sheet';
import { space } from '../theme/tokens';

/** So many at once, at most; the server holds to the same. */
const MOST = 200;

/** More boxes like one: how many, and which codes they get. */
export function MoreLikeIt({ home, onDone }: { home: Home; onDone: () => void }) {
  const { homes, load } = useHouse();
  const show = useLog((log) => log.show);
  const [isBusy, setBusy] = useState(false);
  const taken = homes.map(({ code }) => code);
  const next = codeAfter(home.code, taken) ?? '';
  const [count, first] = [useTyped('1'), useTyped(next)];
  const number = /^\d+$/.test(count.text) ? Number(count.text) : 0;
  const isRight = number >= 1 && number <= MOST;
  const last = isRight && number > 1 ? codeAfter(first.text, taken, number - 1) : null;
  const save = async () => {
    if (!isRight) return count.refuse(`A whole number from 1 to ${MOST}.`);
    setBusy(true);
    try {
      const { homes: made } = await call('copyHome', {
        params: { id: home.id },
        body: { count: number, ...(first.text !== next && { firstCode: first.text }) },
      });
      await load();
      show({ text: `${countWords(made.length, 'box', 'boxes')} added: ${made.map(({ code }) => code).join(', ')}.` });
      onDone();
      router.replace('/homes');
    } catch (error) {
      const fields = error instanceof CallFailed ? error.fields : [];
      for (const { path, message } of fields) (path === 'count' ? count : first).refuse(message);
      if (fields.length === 0) show({ text: problemOf(error), isProblem: true });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Sheet title={`More like ${home.code}`} onClose={onDone}>
      <View style={{ gap: space.m }}>
        <Body>Empty boxes of the same size, filled and opened alike, on the same shelf.</Body>
        <Field label="How many" {...count.field} keyboard="number-pad" />
        <Field label="First code" {...first.field} />
        {last === null ? null : <Soft>{`Up to ${last}; codes that are taken are passed over.`}</Soft>}
        <Button
          title={isRight ? `Add ${countWords(number, 'box', 'boxes')}` : 'Add'}
          disabled={isBusy}
          onPress={() => void save()}
        />
      </View>
    </Sheet>
  );
}
