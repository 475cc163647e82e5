import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import type { AbsenceFacts } from '@/contract/plan';
import { id as uuid } from '@/contract/primitives';
import type { Handlers } from '../http/mount';
import { invalid, notFound } from '../http/problem';
import { digestOf, isSecret, newSecret } from '../secrets';
import { sheetOf } from '../sheet';
import { sitterSheetPaper } from '../paper/sitter';
import { inThread } from '../threads/pool';
import type { Queries } from '../storage/database';
import {
  absenceOfPage,
  findAbsence,
  insertAbsence,
  listAbsences,
  markAbsenceUndone,
  writePageSecret,
} from '../storage/absences';
import { listKeepers } from '../storage/keepers';
import { requireAbsence } from './computePlans';
import type { Deps } from './deps';

type Names = 'absences' | 'addAbsence' | 'dropAbsence' | 'absenceSheet' | 'openSitterPage' | 'sitterPage';

export function absenceHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    absences: async () => ({ absences: await listAbsences(database, clock.today()) }),

    addAbsence: ({ body }) =>
      database.transaction(async (queries) => {
        const id = body.id ?? randomUUID();
        const known = await findAbsence(queries, id);
        if (known) return { absence: known };
        requireAbsence(clock.today(), body.from, body.until);
        const { keeperId = null, from, until, sitter = null, call = null } = body;
        if (keeperId !== null && !(await listKeepers(queries, from)).some((each) => each.id === keeperId)) {
          throw invalid('keeperId', 'There is no keeper with that id. See /api/keepers.');
        }
        await insertAbsence(queries, { id, keeperId, from, until, sitter, call });
        return { absence: await requireOne(queries, id) };
      }),

    dropAbsence: ({ params }) =>
      database.transaction(async (queries) => {
        await requireOne(queries, params.id);
        await markAbsenceUndone(queries, params.id, clock.now());
        return { removed: params.id };
      }),

    absenceSheet: async ({ params }) =>
      sheetOf(database, await requireOne(database, params.id), clock.today(), clock.now()),

    openSitterPage: ({ params }) =>
      database.transaction(async (queries) => {
        await requireOne(queries, params.id);
        const secret = newSecret();
        await writePageSecret(queries, params.id, digestOf(secret));
        return { path: `/sitter/${secret}` };
      }),

    sitterPage: async ({ params }) => {
      const absence = isSecret(params.secret) ? await absenceOfPage(database, digestOf(params.secret)) : undefined;
      if (!absence || absence.until < clock.today())
        throw notFound('sheet at that address: it was renewed, or is over');
      return sheetOf(database, absence, clock.today(), clock.now());
    },
  };
}

/** The sheet on paper: the one answer here that is not JSON. */
export function sheetPdfRoute({ database, clock }: Deps): RequestHandler {
  return async (request, response) => {
    const asked = uuid.safeParse(request.params.id);
    if (!asked.success) throw notFound('absence with that id');
    const absence = await requireOne(database, asked.data);
    const sheet = await sheetOf(database, absence, clock.today(), clock.now());
    const pdf = await inThread('paperPdf', sitterSheetPaper(sheet, 'a4'));
    response.set('Content-Disposition', `inline; filename="looking-in-${absence.from}.pdf"`);
    response.type('application/pdf').send(Buffer.from(pdf));
  };
}

async function requireOne(queries: Queries, id: string): Promise<AbsenceFacts> {
  const absence = await findAbsence(queries, id);
  if (!absence) throw notFound('absence with that id');
  return absence;
}
