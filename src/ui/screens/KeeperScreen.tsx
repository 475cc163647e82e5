import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useAccess } from '@/client/access';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useKeepers } from '@/client/keepers';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import { pickedText } from '@/client/pickedText';
import type { Keeper } from '@/contract/keepers';
import { Button } from '../kit/Button';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Waiting } from '../kit/Waiting';
import { Toggles } from '../kit/Toggles';
import { Body, Soft, Strong, Title } from '../components/Words';
import { makeStyles } from '../components/useStyles';
import { useConfirm } from '../kit/useConfirm';
import { TimeInput } from '../kit/TimeInput';
import { ZoneInput } from '../kit/ZoneInput';
import { space } from '../theme/tokens';
import { dayWords, daysWords } from '@/words/days';

const NOBODY_YET =
  'Nobody is named yet. Add yourself: what you write down carries your name, and the round knows when you walk.';

/** One keeper: rooms, the time of the walk, the calendar to subscribe to, and days without time. */
export function KeeperScreen({ id }: { id?: string }) {
  const { keepers, load } = useKeepers();
  const mine = usePreferences((preferences) => preferences.keeper);
  useEffect(() => void load(), [load]);
  const isMine = ({ name }: Keeper) => name.toLowerCase() === mine.trim().toLowerCase();
  const keeper = id === undefined ? (keepers?.find(isMine) ?? keepers?.[0]) : keepers?.find((each) => each.id === id);
  return (
    <Screen>
      <PaneHeader back="/keepers" title="Keepers" />
      {keepers && !keeper ? (
        <Body>{id === undefined ? NOBODY_YET : 'There is no keeper here. It may have been an old link.'}</Body>
      ) : null}
      {keepers ? null : <Waiting>Looking who keeps the house…</Waiting>}
      {keeper ? <KeeperCard key={keeper.id} keeper={keeper} /> : null}
    </Screen>
  );
}

function KeeperCard({ keeper }: { keeper: Keeper }) {
  const styles = useStyles();
  const change = useKeepers((state) => state.change);
  const show = useLog((log) => log.show);
  const { keeper: mine, set } = usePreferences();
  const { shelves, homes, round } = useHouse();
  const [walkAt, setWalkAt] = useState(keeper.walkAt);
  const [zone, setZone] = useState(keeper.zone);
  const [address, setAddress] = useState<string>();
  const used = new Set(homes.map(({ shelfId }) => shelfId));
  const rooms = [...new Map(shelves.filter(({ id }) => used.has(id)).map(({ roomId, room }) => [roomId, room]))];
  const params = { id: keeper.id };
  const edit = (body: { roomIds?: string[]; walkAt?: string; zone?: string }) =>
    change(() => call('changeKeeper', { params, body }));
  // Whose phone it is, is told by who is signed in there.
  const isSignedIn = useAccess(({ access }) => access?.state === 'signed-in');
  const isMe = mine.trim().toLowerCase() === keeper.name.toLowerCase();
  const today = round?.on ?? '';
  const subscribe = async () => {
    const renewed = await change(() => call('renewCalendar', { params }));
    if (renewed) setAddress(`${window.location.origin}${renewed.path}`);
  };
  const { ask, dialog } = useConfirm();
  const remove = () =>
    change(() => call('removeKeeper', { params })).then((gone) => gone && router.replace('/keepers'));
  const readBusy = async () => {
    const text = await pickedText('.ics,text/calendar');
    if (text === null) return;
    const read = await change(() => call('setBusyDays', { params, body: { calendar: text } }));
    if (read) show({ text: `${keeper.name}: ${daysWords(read.keeper.busyDays.length)} without time.` });
  };
  return (
    <View style={styles.card} role="group" aria-label={keeper.name}>
      <Title>{keeper.name}</Title>
      {isMe ? <Strong>This phone is yours.</Strong> : null}
      {isMe || isSignedIn ? null : (
        <Button rank="second" title="This phone is theirs" onPress={() => set({ keeper: keeper.name })} />
      )}
      <Strong>Rooms to walk</Strong>
      <Toggles
        label={`Rooms of ${keeper.name}`}
        choices={rooms.map(([value, title]) => ({ value, title }))}
        values={keeper.roomIds}
        onChange={(roomIds) => void edit({ roomIds })}
      />
      {keeper.roomIds.length === 0 ? <Soft>Walks the whole house.</Soft> : null}
      <TimeInput label="Walk begins" value={walkAt} onChange={setWalkAt} />
      <ZoneInput label="Time zone" value={zone} onChange={setZone} />
      {walkAt !== keeper.walkAt || zone !== keeper.zone ? (
        <Button title="Keep time and zone" onPress={() => void edit({ walkAt, zone })} />
      ) : null}
      <Strong>Calendar</Strong>
      <Soft>
        Walks, moves, steps of rests and absences. Whoever has the address can read it: renew it when it got about.
      </Soft>
      {address === undefined ? null : <Body selectable>{address}</Body>}
      <View style={styles.line}>
        <Button
          rank="second"
          title={keeper.hasCalendar ? 'New address' : 'Address to subscribe'}
          onPress={() => void subscribe()}
        />
        <Button
          rank="second"
          title="Download"
          onPress={() => window.open(`/api/keepers/${keeper.id}/calendar.ics`, '_blank')}
        />
        {keeper.hasCalendar ? (
          <Button
            rank="second"
            title="Shut"
            onPress={() => {
              setAddress(undefined);
              void change(() => call('closeCalendar', { params }));
            }}
          />
        ) : null}
      </View>
      <Strong>{`Days without time: ${keeper.busyDays.length}`}</Strong>
      {keeper.busyDays.length > 0 ? <Soft>{`the next ${dayWords(keeper.busyDays[0] ?? today, today)}`}</Soft> : null}
      <View style={styles.line}>
        <Button rank="second" title="Read a calendar of mine" onPress={() => void readBusy()} />
        {keeper.busyDays.length > 0 ? (
          <Button
            rank="second"
            title="Forget them"
            onPress={() => void change(() => call('setBusyDays', { params, body: { days: [] } }))}
          />
        ) : null}
      </View>
      <Soft>
        Days of which eight hours are taken count as without time; no move is planned on a day on which nobody has any.
      </Soft>
      <Button
        rank="second"
        title={`Take ${keeper.name} out`}
        onPress={() =>
          ask({
            title: `Take ${keeper.name} out?`,
            text: `What ${keeper.name} wrote down stays. The address of the calendar, the days without time and the way in go.`,
            act: 'Take out',
            run: remove,
          })
        }
      />
      {dialog}
    </View>
  );
}

const useStyles = makeStyles(() => ({
  card: { gap: space.m },
  line: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
}));
