import { router, useLocalSearchParams } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { useGone } from '@/client/gone';
import { useHouse } from '@/client/house';
import type { GoneResident, Home, Resident } from '@/contract/records';
import { lifeEvents } from '@/core/growth/lifeEvents';
import { Button } from '../kit/Button';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { LargeName, Soft, Strong } from '../components/Words';
import { Tabs } from '../kit/Tabs';
import { CareTab } from '../residents/CareTab';
import { FoodTab } from '../residents/FoodTab';
import { GrowthTab } from '../residents/GrowthTab';
import { History } from '../residents/History';
import { Kin } from '../residents/Kin';
import { NobodyHere } from '../residents/NobodyHere';
import { NoteDown } from '../residents/NoteDown';
import { NowTab } from '../residents/NowTab';
import { PhotoStrip } from '../residents/PhotoStrip';
import { ResidentHead } from '../residents/ResidentHead';
import { goToWriteDown } from '../residents/writeDown';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { lifeEntry, lifeTitle } from '@/words/lifeEvents';
import { leftWords, lifeWords } from '@/words/residents';
import { useLength } from '@/words/useLength';

/** One animal: who it is, how it lives, what can be written down, and its history. */
export function ResidentScreen({ id }: { id: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === id));
  const home = useHouse((house) => house.homes.find((each) => each.id === resident?.homeId));
  const loading = useLoadState();
  const { gone, load } = useGone();
  const isMissing = !loading && !resident;
  useEffect(() => {
    if (isMissing) void load().catch(() => undefined);
  }, [isMissing, load]);
  if (loading) return <Screen>{loading}</Screen>;
  const left = gone.find((each) => each.id === id);
  if (!resident && left) return <GonePane resident={left} />;
  if (!resident || !home) return <NobodyHere />;
  // What was asked about one, and what was opened of it, is not another's.
  return <ResidentPane key={resident.id} resident={resident} home={home} />;
}

const TABS = [
  { value: 'now', title: 'Now' },
  { value: 'growth', title: 'Growth' },
  { value: 'food', title: 'Food' },
  { value: 'log', title: 'Log' },
  { value: 'care', title: 'Care' },
] as const;

function ResidentPane({ resident, home }: { resident: Resident; home: Home }) {
  const round = useHouse((house) => house.round);
  const { tab: asked, write } = useLocalSearchParams<{ tab?: string; write?: string }>();
  const tab = TABS.find(({ value }) => value === asked)?.value ?? (write === undefined ? 'now' : 'log');
  const today = round?.on ?? resident.takenInOn;
  const profile = useHouse((house) => house.care).of(resident);
  const [next] = lifeEvents(profile, resident.stage, resident.form);
  const toWriteDown = (what: string) => {
    router.setParams({ tab: 'log', write: what });
    // It may be there already, with something else opened in it.
    setTimeout(goToWriteDown);
  };
  return (
    <Screen
      actions={
        <>
          {next ? (
            <Button
              grow
              title={lifeTitle(next, resident.form)}
              onPress={() => toWriteDown(lifeEntry(next, resident.form))}
            />
          ) : null}
          <Button grow rank={next ? 'second' : 'main'} title="New entry" onPress={() => toWriteDown('')} />
          <Button rank="second" title="Move" onPress={() => router.push(`/residents/${resident.id}/boxes`)} />
        </>
      }
    >
      <PaneHeader back="/residents" title="Residents" />
      <ResidentHead resident={resident} home={home} />
      <Tabs label="Parts of its page" tabs={TABS} value={tab} onChange={(value) => router.setParams({ tab: value })} />
      {tab === 'now' ? <NowTab resident={resident} home={home} today={today} /> : null}
      {tab === 'growth' ? <GrowthTab resident={resident} today={today} /> : null}
      {tab === 'food' ? <FoodTab resident={resident} /> : null}
      {tab === 'log' ? (
        <>
          <NoteDown key={`write ${write ?? ''}`} resident={resident} />
          <PhotoStrip residentId={resident.id} today={today} />
          <History residentId={resident.id} today={today} />
        </>
      ) : null}
      {tab === 'care' ? <CareTab resident={resident} /> : null}
    </Screen>
  );
}

/** One that has left: who it was, and its record. */
function GonePane({ resident }: { resident: GoneResident }) {
  const length = useLength();
  const today = useHouse((house) => house.round?.on ?? resident.leftOn);
  return (
    <Screen>
      <PaneHeader back="/residents" title="Residents" />
      <LargeName>{resident.scientificName}</LargeName>
      <Soft>{[resident.commonName, resident.called].filter((word) => word !== null).join(', ')}</Soft>
      <Strong>{`It ${leftWords(resident, today)}.`}</Strong>
      <Soft>{`${lifeWords(resident, length)}, here from ${dayWords(resident.takenInOn, today)}`}</Soft>
      <Soft>Undo its leaving in the history below if that was wrong.</Soft>
      <View style={{ marginTop: space.l }}>
        <Kin resident={resident} today={today} />
      </View>
      <PhotoStrip residentId={resident.id} today={today} />
      <History residentId={resident.id} today={today} />
    </Screen>
  );
}
