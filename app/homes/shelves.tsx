export { ShelvesScreen as default } from '@/ui/screens/lazyForms';
