import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { TwoPanes } from '@/ui/components/TwoPanes';
import { SeasonsScreen, YearPane } from '@/ui/screens/lazyForms';

const SEASON_PARTS = ['ahead', 'moves', 'away', 'rest', 'broods', 'colonies'] as const;

export default function SeasonsRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  const first = SEASON_PARTS.find((each) => each === part) ?? 'ahead';
  return (
    <Suspense>
      <TwoPanes list={<SeasonsScreen key={first} first={first} />} detailOnWide={<YearPane />} />
    </Suspense>
  );
}
