import { z } from 'zod';
import type { Endpoint } from './endpoint';
import {
  drawnLabels,
  drawnLabelsRequest,
  labelBoard,
  labelPlacesReply,
  labelPlacesRequest,
  labelPrint,
  newLabelPrint,
  printerBoard,
} from './labels';
import { id } from './primitives';
import { routes } from './routes';

const onePrint = z.object({ print: labelPrint });

/** Labels: whose there are, how they look, where they lie on a sheet, and what was printed. */
export const labelEndpoints = {
  labels: {
    ...routes.labels,
    summary: 'The labels of the house, each against the last time it was printed; the sheets and tapes there are.',
    reply: labelBoard,
  },
  drawnLabels: {
    ...routes.drawnLabels,
    summary: 'Labels as they would be printed: each piece of text with its place in mm, and the code as a path.',
    body: drawnLabelsRequest,
    reply: drawnLabels,
  },
  printLabels: {
    ...routes.printLabels,
    summary:
      'Prints labels on the label printer, or makes a file of them: /api/label-prints/:id.pdf. Noted as printed.',
    body: newLabelPrint,
    reply: onePrint,
    status: 201,
  },
  undoLabelPrint: {
    ...routes.undoLabelPrint,
    summary: 'These labels were not printed after all: each counts as it was printed the time before.',
    params: z.strictObject({ id }),
    reply: onePrint,
  },
  labelPrinter: {
    ...routes.labelPrinter,
    summary: 'The label printer, and what came out of it last.',
    reply: printerBoard,
  },
  labelPlaces: {
    ...routes.labelPlaces,
    summary: 'Where labels come to lie on sheets, from the first that is still there; or on a roll.',
    body: labelPlacesRequest,
    reply: labelPlacesReply,
  },
} as const satisfies Record<string, Endpoint>;
