import { ThemeProvider } from '@rneui/themed/dist/config';
import { usePathname } from 'expo-router';
import { StatusBar } from 'expo-status-bar';
import { useEffect, useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { listen } from '@/client/events';
import { useHouse } from '@/client/house';
import { keepForOffline } from '@/client/offline';
import { usePreferences } from '@/client/preferences';
import { NavBar } from './components/NavBar';
import { NoticeBar } from './components/NoticeBar';
import { useIsWide } from './components/useLayout';
import { fetchWhenIdle } from './screens/lazyForms';
import { DAY, NIGHT } from './theme/tokens';
import { themeFor } from './theme/theme';

/** What stands round every screen: the theme, the places, the notice; and the house, fetched when the page comes up. */
export function Shell({ children }: { children: ReactNode }) {
  const look = usePreferences((preferences) => preferences.look);
  const load = useHouse((house) => house.load);
  const isReady = useHouse((house) => house.state === 'ready');
  const isWide = useIsWide();
  const theme = useMemo(() => themeFor(look), [look]);
  const isSitters = usePathname().startsWith('/sitter/');
  useEffect(() => {
    if (isSitters) return undefined;
    void load();
    // A phone that was in a pocket shows the state of the house now, and the round of the new day.
    const refresh = () => document.visibilityState === 'visible' && void load();
    document.addEventListener('visibilitychange', refresh);
    const stop = listen();
    keepForOffline();
    return () => {
      document.removeEventListener('visibilitychange', refresh);
      stop();
    };
  }, [load, isSitters]);
  useEffect(() => (isReady && !isSitters ? fetchWhenIdle() : undefined), [isReady, isSitters]);
  const ground = (look === 'night' ? NIGHT : DAY).ground;
  useEffect(() => {
    document.body.style.backgroundColor = ground;
  }, [ground]);
  return (
    <ThemeProvider key={look} theme={theme}>
      <StatusBar style="light" />
      <View style={{ flex: 1, flexDirection: isWide ? 'row-reverse' : 'column', backgroundColor: ground }}>
        <View style={{ flex: 1 }}>
          <View style={{ flex: 1 }}>{children}</View>
          <NoticeBar />
        </View>
        <NavBar />
      </View>
    </ThemeProvider>
  );
}
