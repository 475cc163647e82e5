import { useGlobalSearchParams, useSegments } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { SeasonsScreen } from '@/ui/screens/lazyForms';
import { seasonsPart } from '@/ui/seasons/parts';

export default function SeasonsLayout() {
  const { part } = useGlobalSearchParams<{ part?: string }>();
  const segments: string[] = useSegments();
  const asked = segments.includes('away') ? 'away' : seasonsPart(part);
  return <ListLayout list={<SeasonsScreen key={asked} asked={asked} />} />;
}
