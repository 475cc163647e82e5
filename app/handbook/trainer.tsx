export { TrainerScreen as default } from '@/ui/screens/lazyForms';
