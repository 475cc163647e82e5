import { router } from 'expo-router';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Home, Resident } from '@/contract/records';
import { worstWords, HOME_WORD } from '@/words/homeState';
import { calledWords, containerWords, lifeWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';
import { CodeTag } from '../components/CodeTag';
import { Leading } from '../components/Leading';
import { Icon } from '../components/Icon';
import { PaneHeader } from '../components/PaneHeader';
import { StatusMark, useStatusInk } from '../components/StatusMark';
import { LargeName, Soft, Strong, Title } from '../components/Words';
import { Tabs } from '../kit/Tabs';
import { space, target } from '../theme/tokens';

const PARTS = [
  { value: 'box', title: 'Box' },
  { value: 'rules', title: 'Rules' },
  { value: 'air', title: 'Air' },
  { value: 'readings', title: 'Readings' },
] as const;
export type HomePart = (typeof PARTS)[number]['value'];

const WAY: Record<HomePart, string> = { box: '', rules: '?part=rules', air: '/air', readings: '/readings' };

/** Which box it is, who lives in it, how it stands, and the parts of its page. */
export function HomeHead({ home, part }: { home: Home; part: HomePart }) {
  const length = useLength();
  const { residents, shelves } = useHouse();
  const tenants = residents.filter((each) => each.homeId === home.id);
  const shelf = shelves.find((each) => each.id === home.shelfId);
  const go = (to: HomePart) => router.replace(`/homes/${home.id}${WAY[to]}` as `/homes/${string}`);
  return (
    <View style={{ gap: space.s }}>
      <PaneHeader back="/homes" title="Wall" />
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.m }}>
        <CodeTag code={home.code} />
        <View style={{ flex: 1 }}>
          <Soft>{[shelf?.name, shelf?.room].filter((word) => word !== undefined).join(', ')}</Soft>
          <Soft>{containerWords(home, length)}</Soft>
        </View>
      </View>
      {tenants.length === 0 ? <Title>{`${home.code}, free`}</Title> : null}
      {tenants.map((resident) => (
        <Tenant key={resident.id} resident={resident} />
      ))}
      <State home={home} />
      {home.quarantineSince !== null ? <Strong>{`In quarantine since ${home.quarantineSince}`}</Strong> : null}
      <Tabs label="Parts of its page" tabs={PARTS} value={part} onChange={go} />
    </View>
  );
}

function Tenant({ resident }: { resident: Resident }) {
  const length = useLength();
  return (
    <Leading
      aria-label={`Record of ${calledWords(resident)}`}
      onPress={() => router.push(`/residents/${resident.id}`)}
      style={{ flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: target }}
    >
      <View style={{ flex: 1 }}>
        <LargeName>{resident.scientificName}</LargeName>
        <Soft>{[resident.called, lifeWords(resident, length)].filter((word) => word !== null).join(', ')}</Soft>
      </View>
      <Icon name="ChevronRight" />
    </Leading>
  );
}

/** How it stands, in a line. */
function State({ home: { state } }: { home: Home }) {
  const temperature = useTemperature();
  const today = useHouse((house) => house.round?.on ?? '');
  const ink = useStatusInk(state?.verdict ?? 'pass');
  if (!state?.verdict) return null;
  const worst = worstWords(state, today, temperature);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }} aria-live="polite">
      <StatusMark status={state.verdict} />
      <Strong style={{ color: ink, flex: 1 }}>{[HOME_WORD[state.verdict], worst].filter(Boolean).join(': ')}</Strong>
    </View>
  );
}
