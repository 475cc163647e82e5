import { BODY_MEASURES, type BodyMeasure, type CareProfile, type Form, type Stage } from './profile';
import { tellsSize, type AnimalMeasures } from './animal';

/** What is said otherwise of an animal once it is taken for another kind. */
export type CarriedOver = { stage?: Stage; form?: Form } & Partial<Record<BodyMeasure, number>>;

/**
 * What is to be written down of one that is kept as another kind from now on, so that the new kind can tell it: a stage that
 * the kind has, and the length that is measured of it. Left out is what holds as it is.
 * Where the new kind cannot tell its length from what was measured, the number stays as it was read from the ruler: whoever took
 * a mantis for a tarantula measured the mantis.
 */
export function carriedOver(
  from: CareProfile,
  to: CareProfile,
  animal: AnimalMeasures & { stage: Stage; form: Form },
): CarriedOver {
  const { stage, form } = animal;
  const { takes } = to.measure;
  const isTold = tellsSize(to, animal);
  const nextStage = stage === 'egg' || to.stages.includes(stage) ? stage : stageLike(from, to, stage);
  const nextForm = formIn(to, animal);
  return {
    ...(nextStage !== stage && { stage: nextStage }),
    ...(nextForm !== form && { form: nextForm }),
    ...(!isTold && readFromRuler(from, animal) !== undefined && { [takes]: readFromRuler(from, animal) }),
  };
}

/** The length that was measured, under whatever name; of a kind that is counted what is usual. mm */
const readFromRuler = ({ measure }: CareProfile, animal: AnimalMeasures): number | undefined =>
  animal[measure.takes] ??
  BODY_MEASURES.map((name) => animal[name]).find((mm) => mm !== undefined) ??
  measure.usualMm?.value;

/** As far on the way from young to grown; a colony of ants is called by its grown ones. */
function stageLike(from: CareProfile, to: CareProfile, stage: Stage): Stage {
  const grown = to.stages.at(-1) ?? stage;
  if (to.silhouette === 'ant' || stage === from.stages.at(-1)) return grown;
  const before = from.stages.filter((each) => each !== 'egg');
  const young = to.stages.filter((each) => each !== 'egg' && each !== grown);
  const part = before.findIndex((each) => each === stage) / before.length;
  return young[Math.floor(part * young.length)] ?? grown;
}

/** Ants are a colony, and only they. */
function formIn(
  to: CareProfile,
  { form, stage, headCount }: { form: Form; stage: Stage; headCount?: number | undefined },
): Form {
  if (to.silhouette === 'ant') return 'colony';
  if (form !== 'colony') return form;
  return stage === 'egg' ? 'eggs' : headCount === undefined ? 'single' : 'group';
}
