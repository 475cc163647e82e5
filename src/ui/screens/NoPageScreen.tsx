import { router, usePathname } from 'expo-router';
import { LinkRow } from '../components/LinkRow';
import { Screen } from '../components/Screen';
import { Body, Title } from '../components/Words';

/** At an address where nothing is: mistyped, or of an earlier version. */
export function NoPageScreen() {
  const path = usePathname();
  return (
    <Screen>
      <Title>No such page</Title>
      <Body>
        There is nothing at {path} in this house. A code on a box still leads to it: scan it, or type its name.
      </Body>
      <LinkRow
        links={[
          { title: 'To the round', onPress: () => router.replace('/round') },
          { title: 'Scan a box', onPress: () => router.replace('/scan') },
        ]}
      />
    </Screen>
  );
}
