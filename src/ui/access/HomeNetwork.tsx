import { View } from 'react-native';
import type { Network } from '@/contract/access';
import { Body, Heading, Soft } from '../components/Words';
import { Fold } from '../kit/Fold';
import { space } from '../theme/tokens';
import { Scannable } from './Scannable';

const style = { gap: space.s, marginTop: space.xl } as const;

/** How phones come in from the home network. */
export function HomeNetwork({ network }: { network: Network | null }) {
  if (!network) {
    return (
      <View style={style}>
        <Heading>On the home network</Heading>
        <Soft>
          This house answers this machine alone. Started with bin/start --lan it answers phones too, over HTTPS.
        </Soft>
      </View>
    );
  }
  return (
    <View style={style}>
      <Heading>On the home network</Heading>
      <Body selectable>{network.house}</Body>
      <Fold title="A phone for the first time">
        <Soft>It reads this code with its camera, and the page tells how it trusts the house:</Soft>
        <Scannable label="Code of the page that tells how to trust this house" {...network.trust} />
        <Body selectable>{network.trust.address}</Body>
        <Soft>The fingerprint there must be this (SHA-256):</Soft>
        <Body selectable>{network.fingerprint}</Body>
      </Fold>
    </View>
  );
}
