import type { Hazard } from '@/core/profiles/hazards';
import type { Basis, Form } from '@/core/profiles/profile';

export const HANDLING_PARTS = ['before', 'move', 'after'] as const;
export type HandlingPart = (typeof HANDLING_PARTS)[number];

export interface HandlingStep {
  id: string;
  part: HandlingPart;
  text: string;
  basis: Basis;
}

/** A step for all kinds, in other words where one animal lives alone. */
type GeneralStep = HandlingStep & { forOne?: string | undefined };

/** What is known of moving animals: for all, and for kinds. */
export interface HandlingGuide {
  general: { tools: string[]; steps: GeneralStep[]; escape: string[] };
  /** A kind adds steps, and puts other words in place of those for all, by their id. */
  kinds: { profiles: string[]; tools: string[]; replaces: Record<string, string>; steps: HandlingStep[] }[];
}

export interface HandlingSheet {
  tools: string[];
  steps: HandlingStep[];
  escape: string[];
}

/**
 * How one of a kind is moved: what lies ready, the steps in their order, and what is done if it gets out. Cautions come
 * before everything else; what a kind needs comes before the general step of the same part.
 */
export function handlingSheet(
  { general, kinds }: HandlingGuide,
  { kind: kindId, form }: { kind: string; form: Form },
  hazards: readonly Hazard[],
): HandlingSheet {
  const kind = kinds.find((each) => each.profiles.includes(kindId));
  const replaced = general.steps.map(({ forOne, ...step }): HandlingStep => {
    const text = form === 'single' ? (forOne ?? step.text) : step.text;
    return { ...step, text: kind?.replaces[step.id] ?? text };
  });
  const own = [
    ...hazards.map(({ id, atStep, basis }): HandlingStep => ({ id, part: 'before', text: atStep, basis })),
    ...(kind?.steps ?? []),
  ];
  const steps = HANDLING_PARTS.flatMap((part) => [...own, ...replaced].filter((step) => step.part === part));
  const tools = [...general.tools, ...(kind?.tools ?? []), ...hazards.flatMap((each) => each.tools)];
  return { tools: [...new Set(tools)], steps, escape: general.escape };
}
