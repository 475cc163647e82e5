import Box from 'lucide-react-native/icons/box';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Check from 'lucide-react-native/icons/check';
import Clock from 'lucide-react-native/icons/clock';
import X from 'lucide-react-native/icons/x';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import Moon from 'lucide-react-native/icons/moon';
import Plus from 'lucide-react-native/icons/plus';
import Minus from 'lucide-react-native/icons/minus';
import Settings from 'lucide-react-native/icons/sliders-horizontal';
import Sun from 'lucide-react-native/icons/sun';
import Route from 'lucide-react-native/icons/route';
import Bug from 'lucide-react-native/icons/bug';
import Drag from 'lucide-react-native/icons/move-vertical';
import Seasons from 'lucide-react-native/icons/leaf';
import Calendar from 'lucide-react-native/icons/calendar';
import Search from 'lucide-react-native/icons/search';
import Table from 'lucide-react-native/icons/table';
import Save from 'lucide-react-native/icons/download';
import Print from 'lucide-react-native/icons/printer';
import Wall from 'lucide-react-native/icons/rows-3';
import Handbook from 'lucide-react-native/icons/book-open';
import Store from 'lucide-react-native/icons/shopping-basket';
import { useTheme } from './useStyles';

const ICONS = {
  Box,
  ChevronDown,
  ChevronRight,
  Check,
  Clock,
  X,
  ArrowLeft,
  Moon,
  Plus,
  Minus,
  Settings,
  Sun,
  Route,
  Bug,
  Seasons,
  Store,
  Drag,
  Calendar,
  Search,
  Save,
  Table,
  Print,
  Wall,
  Handbook,
};
export type IconName = keyof typeof ICONS;

/** A line icon. It always stands beside a word or inside something that has a name, so it has none itself. */
export function Icon({ name, size = 22, color }: { name: IconName; size?: number; color?: string }) {
  const { theme } = useTheme();
  const Drawn = ICONS[name];
  return <Drawn size={size} color={color ?? theme.colors.ink} strokeWidth={2.2} aria-hidden />;
}
