import { createContext, type ReactNode } from 'react';

/** Stands in for the router's stack of native screens, its tabs, its map of routes and its titles for search engines, which this app has no use for. */
const nothing = () => null;
export const createNativeStackNavigator = () => ({ Navigator: nothing });
export const Sitemap = nothing;
export const getNavOptions = () => ({});
export const BottomTabBarHeightContext = createContext(undefined);
export const featureFlags = { experiment: {} };
export const Head = Object.assign(nothing, { Provider: ({ children }: { children: ReactNode }) => children });
