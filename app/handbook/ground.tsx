export { GroundScreen as default } from '@/ui/screens/lazyForms';
