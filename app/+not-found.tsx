import { NoPageScreen } from '@/ui/screens/lazyForms';

export default function NotFoundRoute() {
  return <NoPageScreen />;
}
