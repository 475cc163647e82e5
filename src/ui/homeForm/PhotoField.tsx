import { useRef } from 'react';
import { Image, View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { LinkRow } from '../components/LinkRow';
import { Heading } from '../components/Words';
import { space } from '../theme/tokens';
import { smallJpeg } from './smallJpeg';

/** The photo of a box: taken or chosen on this device, made smaller here, kept by the server. */
export function PhotoField({ home }: { home: Home }) {
  const input = useRef<HTMLInputElement>(null);
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const keep = async (work: () => Promise<unknown>, text: string) => {
    try {
      await work();
      await load();
      show({ text });
    } catch (error) {
      show({ text: error instanceof TypeError ? error.message : problemOf(error), isProblem: true });
    }
  };
  const choose = (file: File | undefined) => {
    if (!file) return;
    void keep(async () => {
      const jpegBase64 = await smallJpeg(file);
      await call('setHomePhoto', { params: { id: home.id }, body: { jpegBase64 } });
    }, `${home.code}: photo kept.`);
  };
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
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label="Photo of the box"
        style={{ display: 'none' }}
        onChange={(event) => {
          choose(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <LinkRow
        links={[
          { title: 'Take or choose a photo', onPress: () => input.current?.click() },
          ...(home.photoVersion !== null ? [{ title: 'Remove the photo', onPress: remove }] : []),
        ]}
      />
    </View>
  );
}
