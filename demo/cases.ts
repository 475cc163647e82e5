import type { AnimalCase } from '@/core/ground/cases';
import { HOMES } from './homes';
import { RESIDENTS } from './residents';

/** Those who live in the demo, in their own homes, as it is asked what moves the answers about them. */
export function demoCases(): AnimalCase[] {
  return RESIDENTS.flatMap(({ home, profile, scientificName, stage, sizeMm, headCount, gone }): AnimalCase[] => {
    const kept = HOMES.find(({ code }) => code === home);
    if (!kept || gone) return [];
    const { shelf: _stands, code: _called, mixId, ...filled } = kept;
    return [{ profile, scientificName, stage, sizeMm, headCount, home: filled, mixId: mixId ?? undefined }];
  });
}
