import { z } from 'zod';
import { plainMessage } from './plainErrors';

export const ERROR_CODES = [
  'bad-json',
  'unauthorized',
  'forbidden',
  'not-found',
  'conflict',
  'too-large',
  'unsupported-media-type',
  'invalid',
  'too-many',
  'internal',
  'unreachable',
  'busy',
  'disk-full',
] as const;
export type ErrorCode = (typeof ERROR_CODES)[number];

/** The one shape in which every refusal and failure leaves the server. */
export const errorReply = z.object({
  error: z.object({
    code: z.enum(ERROR_CODES),
    message: z.string(),
    fields: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  }),
});
export type ErrorReply = z.infer<typeof errorReply>;
export type FieldMessage = NonNullable<ErrorReply['error']['fields']>[number];

/** The names on the wire that carry a unit, to recognise a measure that came in another one. */
const NAMES_WITH_UNITS = [
  'legSpanMm',
  'bodyLengthMm',
  'carapaceWidthMm',
  'lengthMm',
  'widthMm',
  'heightMm',
  'diameterMm',
  'centreHeightMm',
  'meshApertureMm',
  'substrateDepthMm',
  'depthMm',
  'frontMm',
  'backMm',
  'litterDepthMm',
  'tubeBoreMm',
  'topLengthMm',
  'topWidthMm',
  'topDiameterMm',
];

const UNIT_SUFFIX = /(?:Mm|Cm|M|In|Inch|Inches|Ft)$/;

function unknownField(name: string): string {
  const stem = name.replace(UNIT_SUFFIX, '').toLowerCase();
  const meant = NAMES_WITH_UNITS.find((known) => known.replace(UNIT_SUFFIX, '').toLowerCase() === stem);
  return meant ? `Not known here. Lengths are in millimetres: ${meant}.` : 'Not known here: leave it out.';
}

/** Turns what Zod found into one message a field, addressed by its path (`container.vents.0.diameterMm`). */
export function fieldMessages(error: Pick<z.core.$ZodError, 'issues'>): FieldMessage[] {
  return error.issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({ path: [...issue.path, key].join('.'), message: unknownField(key) }));
    }
    // A key of a record that is refused says why inside.
    const [inside] = issue.code === 'invalid_key' ? issue.issues : [];
    return [{ path: issue.path.join('.'), message: plainMessage(inside ?? issue) }];
  });
}
