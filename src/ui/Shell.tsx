import { ThemeProvider } from '@rneui/themed/dist/config';
import { usePathname } from 'expo-router';
import { StatusBar } from 'expo-status-bar';
import { Suspense, useEffect, useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { useAccess } from '@/client/access';
import { listen } from '@/client/events';
import { useHouse } from '@/client/house';
import '@/client/installPrompt';
import { usePreferences } from '@/client/preferences';
import { NavBar } from './components/NavBar';
import { NoticeBar } from './components/NoticeBar';
import { useIsWide } from './components/useLayout';
import { DoorScreen, fetchWhenIdle, IdleLock } from './screens/lazyForms';
import { DAY, NIGHT } from './theme/tokens';
import { themeFor } from './theme/theme';

/** What stands round every screen: the theme, the places, the notice; and the house, fetched when the page comes up. */
export function Shell({ children }: { children: ReactNode }) {
  const look = usePreferences((preferences) => preferences.look);
  const load = useHouse((house) => house.load);
  const isReady = useHouse((house) => house.state === 'ready');
  const isWide = useIsWide();
  const theme = useMemo(() => themeFor(look), [look]);
  const here = usePathname();
  /** What is opened by its own address, whoever is in. */
  const isByAddress = here.startsWith('/sitter/') || here === '/pair';
  const access = useAccess((store) => store.access);
  const isShut = access !== null && access.state !== 'open' && access.state !== 'signed-in' && !isByAddress;
  const lockAfterMin = access?.state === 'signed-in' ? access.lockAfterMin : null;
  useEffect(() => {
    if (isByAddress || isShut) return undefined;
    void load();
    // A phone that was in a pocket shows the state of the house now, and the round of the new day.
    const refresh = () => document.visibilityState === 'visible' && void load();
    document.addEventListener('visibilitychange', refresh);
    const stop = listen();
    return () => {
      document.removeEventListener('visibilitychange', refresh);
      stop();
    };
  }, [load, isByAddress, isShut]);
  useEffect(() => {
    if (!isReady || isByAddress) return undefined;
    // The walk comes first; who walks can be told a moment later.
    void useAccess.getState().load();
    return fetchWhenIdle();
  }, [isReady, isByAddress]);
  const { ground, bar } = look === 'night' ? NIGHT : DAY;
  useEffect(() => {
    // What the browser draws follows: `public/look.css`.
    document.documentElement.dataset.look = look;
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', bar);
  }, [look, bar]);
  return (
    <ThemeProvider key={look} theme={theme}>
      <StatusBar style="light" />
      <View style={{ flex: 1, flexDirection: isWide ? 'row-reverse' : 'column', backgroundColor: ground }}>
        <View style={{ flex: 1 }}>
          {isShut ? (
            <Suspense>
              <DoorScreen access={access} />
            </Suspense>
          ) : null}
          {/* Stays as it is behind the door, and nobody sees or hears it: a form half filled in is there again. */}
          <View style={{ flex: 1, display: isShut ? 'none' : 'flex' }}>{children}</View>
          <NoticeBar />
          <Suspense>{lockAfterMin === null ? null : <IdleLock minutes={lockAfterMin} />}</Suspense>
        </View>
        {isShut ? null : <NavBar />}
      </View>
    </ThemeProvider>
  );
}
