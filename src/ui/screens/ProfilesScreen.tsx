import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { CareProfile } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { ListRow } from '../kit/ListRow';
import { useFile } from '../kit/useFile';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Heading, Soft, Strong, Title } from '../components/Words';
import { space } from '../theme/tokens';
import { byGroup } from '@/words/profiles';

/** How each kind is kept: the profiles that ship, and the keepers' own. */
export function ProfilesScreen({ chosenId }: { chosenId?: string | undefined }) {
  const { care, ownProfiles, loadCare } = useHouse();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  const read = async (file: File) => {
    try {
      const profile = JSON.parse(await file.text()) as CareProfile | null;
      // One of our own that comes back from its file is put in force again; any other is new.
      if (profile && ownProfiles.includes(profile.id)) {
        await call('changeProfile', { params: { profileId: profile.id }, body: profile });
      } else {
        // Whatever it is: the server says what is wrong with it.
        await call('addProfile', { body: profile as CareProfile });
      }
      await loadCare();
      if (!profile) return;
      show({ text: `${profile.name} is in force.` });
      router.push(`/profiles/${profile.id}`);
    } catch (error) {
      const text = error instanceof SyntaxError ? 'That file is not JSON. Nothing was changed.' : problemOf(error);
      show({ text, isProblem: true });
    }
  };
  const { choose, input } = useFile({
    ...{ label: 'Profile to import', accept: 'application/json,.json' },
    onChoose: (file) => void read(file),
  });
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen place="/profiles" actions={<Button grow rank="second" title="Import a profile" onPress={choose} />}>
      <PaneHeader back="/settings" title="More" />
      <Title>Care profiles</Title>
      <Soft>Every rule with its numbers and whose practice it is. Copy one to change it.</Soft>
      {input}
      {byGroup(care.profiles).map(({ group, members }) => (
        <View key={group}>
          <Heading style={{ marginTop: space.l }}>{group}</Heading>
          {members.map(({ id, name, fit }) => (
            <ListRow key={id} label={name} onPress={() => router.push(`/profiles/${id}`)} isChosen={id === chosenId}>
              <Strong>{name}</Strong>
              <Soft>{`${fit.length} rules${ownProfiles.includes(id) ? ', your own' : ''}`}</Soft>
            </ListRow>
          ))}
        </View>
      ))}
    </Screen>
  );
}
