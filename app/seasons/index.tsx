import { useLocalSearchParams } from 'expo-router';
import { ListRoute } from '@/ui/components/TwoPanes';
import { SeasonsScreen, YearPane } from '@/ui/screens/lazyForms';
import { seasonsPart } from '@/ui/seasons/parts';

export default function SeasonsRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  const asked = seasonsPart(part);
  return <ListRoute list={<SeasonsScreen key={asked} asked={asked} />} beside={<YearPane />} />;
}
