import { useGlobalSearchParams, usePathname } from 'expo-router';
import { ListLayout } from '@/ui/components/TwoPanes';
import { PeopleScreen } from '@/ui/screens/lazyForms';

export default function PeopleLayout() {
  const { id } = useGlobalSearchParams<{ id?: string }>();
  const here = usePathname();
  return <ListLayout list={<PeopleScreen chosenId={id ?? /^\/people\/(me|log)$/.exec(here)?.[1]} />} />;
}
