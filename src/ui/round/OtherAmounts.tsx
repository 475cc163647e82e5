import { View } from 'react-native';
import { pouredMl } from '@/core/climate/pouredMl';
import { Button } from '../kit/Button';
import { space } from '../theme/tokens';
import { waterWords } from '@/words/jobs';

/** Of what was asked for: what a keeper pours who feels the soil first. Chosen here */
const SHARES = [0.5, 1.5];

/** Water poured that was less or more than was asked for; the circle beside them says that it was as asked. */
export function OtherAmounts({
  code,
  askedMl,
  onPoured,
}: {
  code: string;
  askedMl: number;
  onPoured: (ml: number) => void;
}) {
  const amounts = SHARES.map((share) => pouredMl(share * askedMl)).filter((ml) => ml !== askedMl);
  return (
    <View
      role="group"
      aria-label={`${code}: another amount`}
      style={{ flexDirection: 'row', gap: space.s, marginTop: space.s }}
    >
      {amounts.map((ml) => (
        <Button key={ml} rank="second" title={`${waterWords(ml)} poured`} onPress={() => onPoured(ml)} />
      ))}
    </View>
  );
}
