import type { ViewStyle } from 'react-native';

/** Asked each time: a keeper may change it while the page is open. */
export const wantsStillness = () => globalThis.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? true;

/** So that one sees where it came from, and no longer. ms, chosen here */
const RISES_MS = 160;

/** How what comes over the page comes: from below; at once where less motion is asked for. */
export function rising(): ViewStyle {
  if (wantsStillness()) return {};
  return {
    animationKeyframes: { from: { transform: 'translateY(48px)', opacity: 0 }, to: { transform: 'none', opacity: 1 } },
    animationDuration: `${RISES_MS}ms`,
    animationTimingFunction: 'ease-out',
  } as ViewStyle;
}
