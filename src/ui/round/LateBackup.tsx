import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useCall } from '@/client/useCall';
import { backupWords } from '@/words/backup';
import { LinkRow } from '../components/LinkRow';
import { Strong } from '../components/Words';
import { space } from '../theme/tokens';

/** That no backup has worked for days: a log of years hangs on it. */
export function LateBackup({ today }: { today: string }) {
  const { answer } = useCall(today, () => call('backups', {}));
  if (!answer?.isLate) return null;
  return (
    <View style={{ marginTop: space.m }}>
      <Strong role="alert">{backupWords(answer, today)}</Strong>
      <LinkRow links={[{ title: 'Backup', onPress: () => router.push('/backup') }]} />
    </View>
  );
}
