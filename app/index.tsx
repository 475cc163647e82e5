import { Redirect } from 'expo-router';
import { useIsWide } from '@/ui/components/useLayout';

/** Where one begins: on a phone with the walk, on a wide screen with the wall. */
export default function FirstRoute() {
  return <Redirect href={useIsWide() ? '/homes' : '/round'} />;
}
