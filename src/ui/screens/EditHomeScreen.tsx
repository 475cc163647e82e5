import { router } from 'expo-router';
import { call } from '@/client/api';
import { useHomeAir } from '@/client/homeAir';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { usePreferences } from '@/client/preferences';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { Body } from '../components/Words';
import { HomeForm } from '../homeForm/HomeForm';
import { PhotoField } from '../homeForm/PhotoField';
import { valuesOf } from '../homeForm/values';
import { useLength } from '@/words/useLength';

/** Corrects what is written about a box, and keeps its photo. */
export function EditHomeScreen({ id }: { id: string }) {
  const length = useLength();
  const { homes, residents, care, round, load } = useHouse();
  const temperatureUnit = usePreferences((preferences) => preferences.temperatureUnit);
  const { air } = useHomeAir(id);
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const home = homes.find((each) => each.id === id);
  if (!home) {
    return (
      <Screen>
        <Body>There is no box here. It may have been an old link.</Body>
      </Screen>
    );
  }
  return (
    <HomeForm
      key={home.id}
      title={`Change ${home.code}`}
      action="Save the box"
      back={`/homes/${home.id}`}
      initial={valuesOf(home, length, temperatureUnit)}
      profiles={residents.filter((each) => each.homeId === home.id).map((each) => care.of(each))}
      roomC={air?.room.air.temperatureC}
      asksDepth={false}
      save={async (values, { furniture, ...read }, shelfId) => {
        const quarantineSince = values.isQuarantined ? (home.quarantineSince ?? round?.on ?? null) : null;
        await call('changeHome', {
          params: { id: home.id },
          body: { ...read, ...(furniture && { furniture }), code: values.code.trim(), shelfId, quarantineSince },
        });
        await load();
        show({ text: `${values.code.trim()} changed.` });
        router.replace(`/homes/${home.id}`);
      }}
    >
      <PhotoField home={home} />
    </HomeForm>
  );
}
