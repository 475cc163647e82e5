export { AddHomeScreen as default } from '@/ui/screens/lazyForms';
