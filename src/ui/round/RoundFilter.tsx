import { useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useKeepers } from '@/client/keepers';
import { usePreferences } from '@/client/preferences';
import type { Shelf } from '@/contract/records';
import { Choices } from '../kit/Choices';
import { space } from '../theme/tokens';

/** The whole house, or one room of it, or the rooms that one keeper walks. */
const ALL = 'all';
const MINE = 'mine';

/** Which part of the house is walked: by room, or by what the keeper of this phone walks. Nothing in a house of one room. */
export function RoundFilter({ shelves }: { shelves: readonly Shelf[] }) {
  const { walk, set } = usePreferences();
  const homes = useHouse((house) => house.homes);
  const used = new Set(homes.map(({ shelfId }) => shelfId));
  const rooms = roomsOf(shelves.filter(({ id }) => used.has(id)));
  const mine = useMyRooms();
  if (rooms.length < 2) return null;
  const choices = [
    { value: ALL, title: 'Whole house' },
    ...rooms.map(({ id, name }) => ({ value: id, title: name })),
    ...(mine ? [{ value: MINE, title: 'My rooms' }] : []),
  ];
  const chosen = choices.some(({ value }) => value === walk) ? walk : ALL;
  return (
    <View style={{ marginTop: space.s }}>
      <Choices label="Where to walk" choices={choices} value={chosen} onChange={(value) => set({ walk: value })} />
    </View>
  );
}

/** The shelves of the walk, in order. */
export function useWalkedShelves(shelves: readonly Shelf[]): Shelf[] {
  const walk = usePreferences((preferences) => preferences.walk);
  const mine = useMyRooms();
  return useMemo(() => {
    const rooms = new Set(shelves.map(({ roomId }) => roomId));
    const wanted = walk === MINE ? mine : rooms.has(walk) ? [walk] : null;
    return wanted ? shelves.filter(({ roomId }) => wanted.includes(roomId)) : [...shelves];
  }, [shelves, walk, mine]);
}

/** The rooms that the keeper of this phone walks; null where that is the whole house, or nobody has said. */
function useMyRooms(): readonly string[] | null {
  const keeper = usePreferences((preferences) => preferences.keeper.trim().toLowerCase());
  const { keepers, load } = useKeepers();
  useEffect(() => {
    if (keepers === null) void load();
  }, [keepers, load]);
  const roomIds = keepers?.find(({ name }) => name.toLowerCase() === keeper)?.roomIds;
  return roomIds && roomIds.length > 0 ? roomIds : null;
}

function roomsOf(shelves: readonly Shelf[]): { id: string; name: string }[] {
  return [...new Map(shelves.map(({ roomId, room }) => [roomId, { id: roomId, name: room }])).values()];
}
