import { View } from 'react-native';
import { useNowNamed } from '@/client/names';
import { Button } from '../kit/Button';
import { Name, Soft } from '../components/Words';
import { space } from '../theme/tokens';

interface Props {
  scientificName: string;
  /** Takes the name in use in its place; left out, it is only told. */
  onTake?: (name: string) => void;
}

/** That a name has changed, and into which. What was written stays until its keeper takes the other. */
export function NowNamed({ scientificName, onTake }: Props) {
  const now = useNowNamed(scientificName);
  if (!now) return null;
  return (
    <View style={{ gap: space.s }}>
      <Soft>
        {'Now called '}
        <Name style={{ fontSize: 17 }}>{now.name}</Name>
        {'. What you wrote stays as it is.'}
      </Soft>
      {onTake ? <Button rank="second" title={`Write ${now.name}`} onPress={() => onTake(now.name)} /> : null}
    </View>
  );
}
