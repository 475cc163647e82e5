import { Image, View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { PhotoPicker } from '../components/PhotoPicker';
import { Heading } from '../components/Words';
import { space } from '../theme/tokens';

/** The photo of a box: taken or chosen on this device, made smaller here, kept by the server. */
export function PhotoField({ home }: { home: Home }) {
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const keep = async (work: () => Promise<unknown>, text: string) => {
    try {
      await work();
      await load();
      show({ text });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const choose = (picture: Promise<string>) =>
    void keep(async () => {
      const jpegBase64 = await picture;
      await call('setHomePhoto', { params: { id: home.id }, body: { jpegBase64 } });
    }, `${home.code}: photo kept.`);
  const remove = () =>
    void keep(() => call('removeHomePhoto', { params: { id: home.id } }), `${home.code}: photo removed.`);
  return (
    <View style={{ gap: space.s }}>
      <Heading>Photo</Heading>
      {home.photoVersion !== null ? (
        <Image
          source={{ uri: `/api/homes/${home.id}/photo?version=${home.photoVersion}` }}
          accessibilityLabel={`Photo of ${home.code}`}
          style={{ width: '100%', aspectRatio: 4 / 3 }}
          resizeMode="contain"
        />
      ) : null}
      <PhotoPicker
        label="Photo of the box"
        onPick={choose}
        more={home.photoVersion !== null ? [{ title: 'Remove the photo', onPress: remove }] : []}
      />
    </View>
  );
}
