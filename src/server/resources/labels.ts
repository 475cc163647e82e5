import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import { shippedLabelStocks } from '@/contract/shipped';
import type { LabelPrint } from '@/contract/labels';
import { id as uuid } from '@/contract/primitives';
import { boxAddress } from '@/core/labels/boxCode';
import { drawLabel, type LabelWords } from '@/core/labels/drawLabel';
import { labelPlaces, labelsPerPage, type LabelStock } from '@/core/labels/stock';
import type { LabelPrinter } from '../devices/labelPrinter';
import { houseToday } from '../house/houseToday';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { labelRow, labelsOf, saidBy, type HouseLabel } from '../labels/labels';
import { pathOf, squaresOf } from '../labels/squares';
import type { Queries } from '../storage/database';
import {
  findPrint,
  insertPrint,
  labelsOfPrint,
  lastPrinted,
  listPrints,
  markPrintUndone,
  type PrintedLabel,
  type PrintMade,
  type PrintRow,
} from '../storage/labels';
import { inThread } from '../threads/pool';
import type { Deps } from './deps';

type Names = 'labels' | 'drawnLabels' | 'printLabels' | 'undoLabelPrint' | 'labelPrinter' | 'labelPlaces';

/** Prints that the page of the printer shows. Chosen here */
const SHOWN_PRINTS = 30;

export function labelHandlers({ database, clock }: Deps, printer: LabelPrinter): Pick<Handlers, Names> {
  const labels = async () => labelsOf(await houseToday(database, clock.today(), clock.now()));
  const { name, isSimulated, folder } = printer;
  return {
    labels: async () => {
      const [all, last, [print]] = [await labels(), await lastPrinted(database), await listPrints(database, null, 1)];
      return {
        labels: all.map((each) => labelRow(each, last.get(each.about))),
        stocks: shippedLabelStocks,
        last: print ? { stock: print.stock, address: print.address } : null,
        printer: { name, isSimulated },
      };
    },

    drawnLabels: async ({ body: { about, stock, address } }) => {
      // What reads fonts takes its time to load: not at the start.
      const { widthOnPaper } = await import('../paper/fonts');
      const drawn = chosen(await labels(), about).map((each) => {
        const squares = squaresOf(boxAddress(address, each.homeId));
        const label = drawLabel(each.words, stock, widthOnPaper);
        return { ...label, about: each.about, path: pathOf(squares), squares: squares.count };
      });
      return { labels: drawn };
    },

    printLabels: async ({ body: { about, ...asked } }) => {
      const id = asked.id ?? randomUUID();
      const known = await findPrint(database, id);
      if (known) return { print: printOf(known) };
      const print: PrintRow = { ...asked, id, printedAt: clock.now() };
      const printed = chosen(await labels(), about).map(({ words, ...whose }) => ({ ...whose, says: saidBy(words) }));
      // Refused before anything is printed, or noted as printed.
      labelPlaces(print.stock, 1, print.startAt);
      if (print.wentTo === 'printer') {
        const pdf = await pdfOf(print, printed);
        await printer.print({ name: `${print.printedAt.replace(/[:.]/g, '-')}-${id.slice(0, 8)}`, pdf });
      }
      await database.transaction((queries) => insertPrint(queries, print, printed));
      return { print: printOf({ ...print, labels: printed.length }) };
    },

    undoLabelPrint: ({ params }) =>
      database.transaction(async (queries) => {
        const print = await requirePrint(queries, params.id);
        await markPrintUndone(queries, print.id, clock.now());
        return { print: printOf(print) };
      }),

    labelPrinter: async () => {
      const prints = await listPrints(database, 'printer', SHOWN_PRINTS);
      return { name, isSimulated, folder, prints: prints.map(printOf) };
    },

    labelPlaces: ({ body: { stock, count, startAt } }) => ({
      pages: pagesOf(stock, count, startAt),
      places: labelPlaces(stock, count, startAt),
    }),
  };
}

/** The labels of a print as a file: the words are those of then. */
export function labelPdfRoute({ database }: Deps): RequestHandler {
  return async (request, response) => {
    const [, name = ''] = /^(.+)\.pdf$/.exec(String(request.params.file)) ?? [];
    const asked = uuid.safeParse(name);
    if (!asked.success) throw notFound('print of labels with that id');
    const print = await requirePrint(database, asked.data);
    const pdf = await pdfOf(print, await labelsOfPrint(database, print.id));
    response.set('Content-Disposition', `attachment; filename="labels-${print.printedAt.slice(0, 10)}.pdf"`);
    response.type('application/pdf').send(Buffer.from(pdf));
  };
}

const pdfOf = ({ stock, startAt, address, cutMarks }: PrintRow, printed: readonly PrintedLabel[]) =>
  inThread('labelPdf', {
    labels: printed.map(({ says, homeId }) => ({
      words: JSON.parse(says) as LabelWords,
      url: boxAddress(address, homeId),
    })),
    ...{ stock, startAt, cutMarks },
  });

/** Labels in the order in which they were asked for. @throws Problem naming the first that is of nobody here */
function chosen(labels: readonly HouseLabel[], about: readonly string[]): HouseLabel[] {
  const byWhom = new Map(labels.map((each) => [each.about, each]));
  return about.map((each, index) => {
    const label = byWhom.get(each);
    if (!label) throw invalid(`about.${index}`, 'There is no resident and no free box with that id. See /api/labels.');
    return label;
  });
}

const pagesOf = (stock: LabelStock, count: number, startAt: number) =>
  Math.ceil((count + (stock.form === 'tape' ? 0 : startAt - 1)) / labelsPerPage(stock));

const printOf = ({ id, printedAt, wentTo, stock, startAt, labels }: PrintMade): LabelPrint => ({
  ...{ id, printedAt, wentTo, labels, pages: pagesOf(stock, labels, startAt) },
});

async function requirePrint(queries: Queries, id: string): Promise<PrintMade> {
  const print = await findPrint(queries, id);
  if (!print) throw notFound('print of labels with that id');
  return print;
}
