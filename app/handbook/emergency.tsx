export { EmergencyScreen as default } from '@/ui/screens/lazyForms';
