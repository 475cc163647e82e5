import { View } from 'react-native';
import { Body } from '../components/Words';
import { space } from '../theme/tokens';
import { Button } from './Button';

interface Props {
  problem: string;
  /** Asks once more. */
  again?: (() => void) | undefined;
}

/** Stands where an answer would stand that did not come: what went wrong, and the way on. */
export function Failed({ problem, again }: Props) {
  return (
    <View style={{ gap: space.m, paddingVertical: space.m }}>
      <Body role="status">{problem}</Body>
      {again ? <Button rank="second" title="Try again" onPress={again} /> : null}
    </View>
  );
}
