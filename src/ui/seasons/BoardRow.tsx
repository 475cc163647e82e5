import type { ReactNode } from 'react';
import { View } from 'react-native';
import { BoxTile } from '../drawings/BoxTile';
import { ListRow } from '../kit/ListRow';
import { Name, Soft } from '../components/Words';
import { calledWords } from '@/words/residents';
import { useResidentOf } from './useResidentOf';

interface Props {
  residentId: string;
  onPress: () => void;
  right?: ReactNode;
  children: ReactNode;
}

/** One resident on a board: its box, its name, and what is said of it. */
export function BoardRow({ residentId, onPress, right, children }: Props) {
  const found = useResidentOf()(residentId);
  if (!found) return null;
  const { resident, home } = found;
  return (
    <ListRow
      label={`Open ${home.code}, ${calledWords(resident)}`}
      onPress={onPress}
      left={
        <View style={{ alignSelf: 'flex-start' }}>
          <BoxTile home={home} resident={resident} />
        </View>
      }
      right={right}
    >
      <Name>{resident.scientificName}</Name>
      {resident.called === null ? null : <Soft>{resident.called}</Soft>}
      {children}
    </ListRow>
  );
}
