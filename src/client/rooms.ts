import { useCallback, useEffect, useState } from 'react';
import type { Probe, Room } from '@/contract/readings';
import type { Shelf } from '@/contract/records';
import { call } from './api';
import { problemOf } from './house';

/** The rooms of the house with their air, and every probe that hangs somewhere. */
export function useRooms() {
  const [found, setFound] = useState<{ rooms: Room[]; probes: Probe[] } | null>(null);
  const [problem, setProblem] = useState<string>();
  const load = useCallback(
    () =>
      Promise.all([call('rooms', {}), call('probes', {})]).then(
        ([{ rooms }, { probes }]) => setFound({ rooms, probes }),
        (error: unknown) => setProblem(problemOf(error)),
      ),
    [],
  );
  useEffect(() => void load(), [load]);
  return { rooms: found?.rooms, probes: found?.probes ?? [], problem, load };
}

/** The air of the room that a shelf stands in; undefined while nobody knows it. */
export const airAt = (rooms: readonly Room[] | undefined, shelf: Pick<Shelf, 'room'> | undefined) =>
  rooms?.find(({ name }) => name === shelf?.room)?.air;
