export { SettingsScreen as default } from '@/ui/screens/SettingsScreen';
