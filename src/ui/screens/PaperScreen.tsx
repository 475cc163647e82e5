import { router } from 'expo-router';
import { View } from 'react-native';
import { openPaper } from '@/client/paper';
import { LinkRow } from '../components/LinkRow';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { ListRow } from '../kit/ListRow';
import { space } from '../theme/tokens';

const WHOLE = [
  { name: 'round', title: 'Today’s round', holds: 'Shelf by shelf what is to be done, with boxes to tick.' },
  { name: 'shelves', title: 'Shelf list', holds: 'Every box: who lives there, how large, what to mind.' },
  { name: 'emergency', title: 'Emergency card', holds: 'Whom to call, and who here can hurt.' },
] as const;

/** What a helper without a phone works from. */
export function PaperScreen() {
  return (
    <Screen>
      <PaneHeader back="/settings" title="More" />
      <Title>On paper</Title>
      <Body>Sheets to print, as PDF, in the units of this device: A4, and US Letter with inches.</Body>
      <View style={{ marginTop: space.m }}>
        {WHOLE.map(({ name, title, holds }) => (
          <ListRow key={name} label={`${title} as PDF`} onPress={() => openPaper(name)}>
            <Strong>{title}</Strong>
            <Soft>{holds}</Soft>
          </ListRow>
        ))}
      </View>
      <Heading style={{ marginTop: space.xl }}>Printed where they belong</Heading>
      <Body>
        A care card from its page in the handbook, a handling sheet from a move, a whole record from the log of its
        animal, the sitter’s sheet from days away.
      </Body>
      <LinkRow
        links={[
          { title: 'Handbook', onPress: () => router.push('/handbook') },
          { title: 'Residents', onPress: () => router.push('/residents') },
          { title: 'Moves', onPress: () => router.push('/seasons?part=moves') },
          { title: 'Days away', onPress: () => router.push('/seasons?part=away') },
          { title: 'Labels', onPress: () => router.push('/labels') },
        ]}
      />
    </Screen>
  );
}
