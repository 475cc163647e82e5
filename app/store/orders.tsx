export { OrdersScreen as default } from '@/ui/screens/lazyForms';
