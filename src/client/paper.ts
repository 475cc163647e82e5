import { usePreferences } from './preferences';

/** Sheets that the server puts on paper. */
export type SheetName = 'round' | 'shelves' | 'emergency' | 'card' | 'handling' | 'record' | 'new-keeper';

/** Where a sheet lies, in the units of this device: US paper goes with inches. */
export function paperAddress(
  name: SheetName,
  about: Partial<Record<'resident' | 'to' | 'name' | 'shelves', string | undefined>> = {},
): string {
  const { lengthUnit, temperatureUnit } = usePreferences.getState();
  const query = new URLSearchParams({
    ...{ length: lengthUnit, temperature: temperatureUnit, paper: lengthUnit === 'in' ? 'letter' : 'a4' },
    ...Object.fromEntries(Object.entries(about).filter(([, value]) => value !== undefined)),
  });
  return `/api/paper/${name}.pdf?${query.toString()}`;
}

/** Opens a sheet beside the page, to be printed or kept. */
export function openPaper(...asked: Parameters<typeof paperAddress>): void {
  window.open(paperAddress(...asked), '_blank');
}
