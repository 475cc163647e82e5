import { z } from 'zod';
import { day, id, line, profileId, scientificName } from './primitives';
import { resident, sex } from './records';
import { entry } from './storedEntries';

/** What stands at the head of a file with the life of one animal. */
export const LIFE_FORMAT = 'verdant-burrow-life';

/** As much as a file may tell: decades of a colony that is fed daily. */
export const MOST_LIFE_ENTRIES = 20_000;

/** One of whom it comes, as far as its house knew. */
export const forebear = z.strictObject({
  ...{ id, scientificName, profile: profileId, sex, form: resident.shape.form },
  called: z.string().max(60).nullable(),
  commonName: z.string().max(90).nullable(),
  bornOn: day.nullable(),
  batch: z.string().max(60).nullable(),
  ...{ motherId: id.nullable(), fatherId: id.nullable(), outOfId: id.nullable() },
});
export type Forebear = z.infer<typeof forebear>;

const whose = resident.pick({
  ...{ id: true, scientificName: true, kind: true, called: true, commonName: true, stage: true, sex: true, form: true },
  ...{ legSpanMm: true, bodyLengthMm: true, carapaceWidthMm: true, massG: true, headCount: true, instar: true },
  ...{ bornOn: true, batch: true, source: true, permit: true, grownMm: true },
  ...{ motherId: true, fatherId: true, outOfId: true },
});

/** The life of one animal as one file: who it is, of whom it comes, and everything that was written about it. */
export const life = z
  .object({
    format: z.literal(LIFE_FORMAT, { error: 'It is no file of an animal’s life from another house.' }),
    version: z.literal(1, { error: 'It was written by a newer version than this one reads.' }),
    /** The day on which the file was made. */
    on: day,
    resident: whose,
    forebears: z.array(forebear).max(500, { error: 'At most 500 forebears.' }),
    entries: z.array(entry).max(MOST_LIFE_ENTRIES, { error: `At most ${MOST_LIFE_ENTRIES} entries.` }),
  })
  .superRefine(({ resident: { id: ownId }, forebears, entries }, context) => {
    const wrong = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    const seen = new Set<string>();
    entries.forEach(({ id: entryId }, index) => {
      if (seen.has(entryId)) wrong(['entries', index, 'id'], 'Another entry has this id.');
      seen.add(entryId);
    });
    const itself = forebears.findIndex((each) => each.id === ownId);
    if (itself >= 0) wrong(['forebears', itself, 'id'], 'Must be another animal: none comes of itself.');
  })
  .meta({ id: 'Life' });
export type Life = z.infer<typeof life>;

/** A life from another house goes on in this one. */
export const newLife = z.strictObject({
  life,
  homeId: id,
  /** The day on which it came; left out, today. */
  on: day.optional(),
  /** The house or the keeper it came from. */
  from: line('where it came from', 120).optional(),
  keeper: line('the name of the keeper', 60).optional(),
});

export const lifeReply = z.object({ resident, entries: z.int() });

/** Of whom somebody comes, the nearest first. */
export const lineage = z.object({
  forebears: z.array(forebear.extend({ generation: z.int(), isOfThisHouse: z.boolean() })),
});
export type Lineage = z.infer<typeof lineage>;
