import { z } from 'zod';
import type { Endpoint } from './endpoint';
import {
  diagnosis,
  emergencyCard,
  handbook,
  namesReply,
  namesRequest,
  newTrainingAnswer,
  ownCard,
  residentTrouble,
  schoolChangeReply,
  schoolEffect,
  schoolTopic,
  trainingCase,
  trainingTally,
  troubleRequest,
} from './handbook';
import { groundQuery, groundReply, sensitivityReply, sensitivityRequest } from './ground';
import { dueRequest } from './plan';
import { id, line } from './primitives';
import { tableReply, tableRequest } from './lists';
import { routes } from './routes';
import { newSchoolChoice } from './store';

const notASeed = { error: 'Must be a whole number from 0 to 1000000.' };
const seed = z.coerce.number(notASeed).int(notASeed).min(0, notASeed).max(1_000_000, notASeed);
const byId = z.strictObject({ id });
const byName = z.strictObject({ name: line('a scientific name', 90) });
const oneCard = z.object({ card: ownCard });
const tallies = z.object({ tallies: z.array(trainingTally) });

/** Judgement: cards, names, schools, danger, trouble, and the trainer. */
export const handbookEndpoints = {
  handbook: {
    ...routes.handbook,
    summary: 'What the care cards and the cautions are made of, besides profiles and species; the keepers’ own cards.',
    reply: handbook,
  },
  writeOwnCard: {
    ...routes.writeOwnCard,
    signed: ['keeper'],
    summary: 'A keeper’s own card of a species; one for each name.',
    params: byName,
    body: ownCard,
    reply: oneCard,
  },
  removeOwnCard: {
    ...routes.removeOwnCard,
    summary: 'Takes an own card out.',
    params: byName,
    reply: z.object({ removed: z.string() }),
  },
  names: {
    ...routes.names,
    summary: 'A scientific name as typed: its form by the zoological code, what it is called now, and names like it.',
    body: namesRequest,
    reply: namesReply,
  },
  table: {
    ...routes.table,
    summary:
      'Reads a table from a sheet, of boxes, residents or past events: which column is what, and what each row says.',
    body: tableRequest,
    reply: tableReply,
  },
  ground: {
    ...routes.ground,
    summary: 'What the numbers of the program rest on, heaviest first: how many answers each moves.',
    query: groundQuery,
    reply: groundReply,
  },
  sensitivity: {
    ...routes.sensitivity,
    summary: 'What hangs on one number: the answers that are others where it is lower, or higher.',
    body: sensitivityRequest,
    reply: sensitivityReply,
  },
  emergency: { ...routes.emergency, summary: 'Whom this house calls, and where it is.', reply: emergencyCard },
  setEmergency: {
    ...routes.setEmergency,
    summary: 'Writes the emergency card.',
    body: emergencyCard,
    reply: emergencyCard,
  },
  trouble: {
    ...routes.trouble,
    summary: 'From signs to likely causes of a kind, by naive Bayes: every step, and what to look for next.',
    body: troubleRequest,
    reply: diagnosis,
  },
  residentTrouble: {
    ...routes.residentTrouble,
    summary: 'The signs and causes of a resident’s kind, what its box’s own numbers say, and what was tried before.',
    params: byId,
    reply: residentTrouble,
  },
  schoolChange: {
    ...routes.schoolChange,
    summary: 'What another school would change for one animal: a year of work, its home’s verdicts, its next meal.',
    body: dueRequest.extend({ topic: schoolTopic, school: line('a school', 60) }),
    reply: schoolChangeReply,
  },
  schoolEffect: {
    ...routes.schoolEffect,
    summary: 'What a choice of school would change in this house, before it is made. Nothing is written.',
    body: newSchoolChoice,
    reply: schoolEffect,
  },
  trainingCases: {
    ...routes.trainingCases,
    summary: 'Cases out of this house for a new helper, the same for the same seed, with the answers of the engines.',
    query: z.strictObject({ seed: seed.default(1) }),
    reply: z.object({ cases: z.array(trainingCase) }),
  },
  training: { ...routes.training, summary: 'How each helper answered.', reply: tallies },
  addTrainingAnswer: {
    ...routes.addTrainingAnswer,
    signed: ['keeper'],
    summary: 'Writes down how a case was answered.',
    body: newTrainingAnswer,
    reply: tallies,
    status: 201,
  },
} as const satisfies Record<string, Endpoint>;
