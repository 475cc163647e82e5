import { useHouse } from '@/client/house';
import { useShallow } from 'zustand/react/shallow';
import type { Names } from './food';

/** The names of all that can be fed. */
export const useNames = (): Names => useHouse(useShallow(({ feeders, foods }) => ({ feeders, foods })));
