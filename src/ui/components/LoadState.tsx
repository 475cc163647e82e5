import { useHouse } from '@/client/house';
import { Waiting } from '../kit/Waiting';

/** Stands in for a screen until the house has answered; says so when it does not. Null once there is something to show. */
export function useLoadState() {
  const { state, problem, load } = useHouse();
  if (state === 'ready') return null;
  return (
    <Waiting problem={problem} again={() => void load()}>
      Walking to the shelves…
    </Waiting>
  );
}
