export { SchoolsScreen as default } from '@/ui/screens/lazyForms';
