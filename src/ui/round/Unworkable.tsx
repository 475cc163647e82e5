import { router } from 'expo-router';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Round } from '@/contract/round';
import { Button } from '../kit/Button';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Name } from '../components/Words';
import { space, stroke, type } from '../theme/tokens';

/** Those whose records cannot be worked out: why, and the way back. Everything else goes on. */
export function Unworkable({ rows }: { rows: Round['unworkable'] }) {
  const styles = useStyles();
  const { homes, residents } = useHouse();
  const undo = useLog((log) => log.undo);
  return rows.map(({ residentId, homeId, why, entryId }) => {
    const code = homes.find(({ id }) => id === homeId)?.code ?? '?';
    return (
      <View key={residentId} style={styles.row}>
        <Heading>{`${code} cannot be worked out`}</Heading>
        <Body>
          <Name style={styles.name}>{residents.find(({ id }) => id === residentId)?.scientificName ?? ''}</Name>
          {`: ${why}`}
        </Body>
        <View style={styles.ways}>
          {entryId === null ? null : (
            <Button rank="second" title={`Undo the last entry of ${code}`} onPress={() => void undo(entryId)} />
          )}
          <Button
            rank="second"
            title={`Records of ${code}`}
            onPress={() => router.push(`/residents/${residentId}?tab=log`)}
          />
        </View>
      </View>
    );
  });
}

const useStyles = makeStyles((theme) => ({
  row: {
    gap: space.s,
    marginTop: space.l,
    paddingLeft: space.m,
    borderLeftWidth: stroke.mark * 2,
    borderLeftColor: theme.colors.clay,
  },
  name: { fontSize: type.strong },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
}));
