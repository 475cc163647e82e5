import { mixed } from '../drawings/mixed';
import type { Palette } from '../theme/tokens';
import type { BoxFacts, Look } from './boxFacts';

/** What the air of a box is drawn in under a look: the stronger, the more of it; undefined where that look tells nothing of it. */
export function tintOf(colors: Palette, look: Look, { shade, verdict }: BoxFacts): string | undefined {
  if (look === 'fit') {
    if (verdict === null) return colors.resting;
    return verdict === 'fail' ? mixed(colors.air, colors.clay, 0.35) : undefined;
  }
  if (shade === null) return look === 'today' ? undefined : colors.resting;
  const ink = { today: colors.air, damp: colors.dew, moults: colors.accent, load: colors.bark, warmth: colors.clay }[
    look
  ];
  return mixed(colors.air, ink, 0.08 + 0.72 * shade);
}
