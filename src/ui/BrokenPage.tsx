import type { ErrorBoundaryProps } from 'expo-router';
import { Pressable, Text, View } from 'react-native';

import { DAY, fonts, space, target, type } from './theme/tokens';

/** In the place of a page that broke: what is kept, and the way back. Stands without the theme, which may have broken too. */
export function BrokenPage({ error, retry }: ErrorBoundaryProps) {
  const ink = { color: DAY.ink, fontSize: type.body };
  return (
    <View role="alert" style={{ flex: 1, padding: space.l, gap: space.m, backgroundColor: DAY.ground }}>
      <Text style={{ ...ink, fontFamily: fonts.bold, fontSize: type.strong }}>This page broke.</Text>
      <Text style={ink}>What you have written is kept. Try it again, or go back to the round.</Text>
      <Text style={ink}>{error.message}</Text>
      {[
        { title: 'Try again', onPress: () => void retry() },
        { title: 'To the round', onPress: () => window.location.assign('/') },
      ].map(({ title, onPress }) => (
        <Pressable key={title} role="button" onPress={onPress} style={{ minHeight: target, justifyContent: 'center' }}>
          <Text style={{ ...ink, fontFamily: fonts.bold, textDecorationLine: 'underline' }}>{title}</Text>
        </Pressable>
      ))}
    </View>
  );
}
