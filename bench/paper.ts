import { randomUUID } from 'node:crypto';
import { PDFDocument, StandardFonts } from 'pdf-lib';
import { boxAddress } from '@/core/labels/boxCode';
import { labelPlaces } from '@/core/labels/stock';
import { slantedName } from '@/core/measure/slantedName';
import { shippedLabelStocks } from '@/contract/shipped';
import { labelPdf } from '../src/server/labels/labelPdf';
import { once, row } from './measure';

const COUNT = 5000;
const WORDS = ['B1', 'Grammostola pulchra', 'Brazilian black tarantula', 'female, since 14 Mar 2026', 'barbed hairs'];

/** The same words on the same sheets, as the library draws them: no letters of Europe's rest, no fitting, no codes. */
async function plainSheets(): Promise<void> {
  const document = await PDFDocument.create();
  const font = await document.embedFont(StandardFonts.Helvetica);
  const [stock] = shippedLabelStocks;
  if (stock?.form !== 'sheet') throw new Error('The first stock is no sheet.');
  const places = labelPlaces(stock, COUNT);
  const pages = Array.from({ length: (places.at(-1)?.page ?? 0) + 1 }, () => document.addPage());
  for (const { page, xMm, yMm } of places)
    for (const [line, text] of WORDS.entries())
      pages[page]?.drawText(text, { font, size: 8, x: xMm * 2.83, y: 800 - yMm * 2.83 - line * 10 });
  await document.save();
}

/** Labels for a house of 5,000 boxes. */
export async function benchPaper(): Promise<void> {
  const labels = Array.from({ length: COUNT }, (_, index) => ({
    words: {
      ...{ code: `B${index}`, called: `Number ${index}`, name: slantedName('Grammostola pulchra') },
      ...{ commonName: 'Brazilian black tarantula', life: 'female, since 14 Mar 2026', hazards: ['barbed hairs'] },
    },
    url: boxAddress('http://burrow.local:4870', randomUUID()),
  }));
  row(`baseline: the words of ${COUNT} labels by drawText of pdf-lib`, (await once(plainSheets)).ms, '');
  for (const { id, title: _title, ...stock } of shippedLabelStocks.filter(({ id }) =>
    ['a4-24', 'tape-62'].includes(id),
  ))
    row(
      `labels: ${COUNT} on ${id}, laid out, with a code each, as PDF`,
      (await once(() => labelPdf({ labels, stock, startAt: 1, cutMarks: true }))).ms,
      'limit 5,000 ms',
    );
}
