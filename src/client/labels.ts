import { v4 as newId } from 'uuid';
import type { z } from 'zod';
import type { LabelPrint, newLabelPrint } from '@/contract/labels';
import { call } from './api';
import { problemOf } from './house';
import { useLog } from './log';

/** What is printed: whose labels, on what, and under which address the codes lead here. */
export type Print = Omit<z.input<typeof newLabelPrint>, 'id'>;

/** Prints labels and says so; what was not printed after all can be said at once. @throws CallFailed where nothing was printed */
export async function printLabels(body: Print, onUndone: () => void = () => undefined): Promise<LabelPrint> {
  const { print } = await call('printLabels', { body: { ...body, id: newId() } });
  const count = print.labels === 1 ? 'The label is' : `${print.labels} labels are`;
  const undo = async () => {
    await call('undoLabelPrint', { params: { id: print.id } });
    onUndone();
  };
  useLog.getState().show({
    text: `${count} ${body.wentTo === 'file' ? 'saved as a file' : 'printed'}.`,
    action: { title: 'Not printed', run: undo },
  });
  return print;
}

/** Prints the labels of one box on the tape that was used last, from wherever its keeper stands. */
export async function printLabelsOf(homeId: string): Promise<void> {
  try {
    const { labels, stocks, last } = await call('labels', {});
    const stock = last?.stock.form === 'tape' ? last.stock : stocks.find(({ form }) => form === 'tape');
    if (stock?.form !== 'tape') return;
    const { form, widthMm, heightMm } = stock;
    await printLabels({
      about: labels.filter((each) => each.homeId === homeId).map(({ about }) => about),
      stock: { form, widthMm, heightMm },
      address: last?.address ?? window.location.origin,
      wentTo: 'printer',
    });
  } catch (error) {
    useLog.getState().show({ text: problemOf(error), isProblem: true });
  }
}
