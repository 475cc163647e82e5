import { router } from 'expo-router';
import { call } from '@/client/api';
import { nextCode } from '@/client/boxes';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { HomeForm } from '../homeForm/HomeForm';
import { readDepth } from '../homeForm/reading';
import { emptyHome, NEW_SHELF } from '../homeForm/values';
import { useLength } from '@/words/useLength';

/** A tub of the keeper's own. */
export function AddHomeScreen() {
  const length = useLength();
  const { shelves, homes, round, load } = useHouse();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  const [shelf] = shelves;
  const code = nextCode(homes, shelf);
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <HomeForm
      title="Add a box"
      action="Add this box"
      back="/homes"
      initial={{ ...emptyHome(shelf?.id ?? NEW_SHELF), code }}
      asksDepth
      save={async (values, { furniture, litterDepthMm, nest, heat, dishAreaCm2, ...read }, shelfId) => {
        const { home } = await call('addHome', {
          body: {
            ...read,
            ...(furniture && { furniture }),
            ...(litterDepthMm !== null && { litterDepthMm }),
            ...(nest && { nest }),
            ...(heat && { heat }),
            ...(dishAreaCm2 !== null && { dishAreaCm2 }),
            code: values.code.trim(),
            shelfId,
            substrateDepthMm: readDepth(values, length),
            ...(values.isQuarantined && round && { quarantineSince: round.on }),
          },
        });
        await load();
        show({ text: `${home.code} added.` });
        router.replace(`/homes/${home.id}`);
      }}
    />
  );
}
