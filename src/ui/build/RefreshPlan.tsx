import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { refreshPlan } from '@/core/substrate/refresh';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { litres } from '@/words/home';

const SHARES = [
  { value: '25', title: 'a quarter' },
  { value: '33', title: 'a third' },
  { value: '50', title: 'half' },
];
const INTERVALS = [
  { value: '30', title: 'monthly' },
  { value: '60', title: 'every 2 months' },
  { value: '90', title: 'every 3 months' },
  { value: '180', title: 'every 6 months' },
];
/** With a tenth of the old left, what lives in it has moved over; from memory. */
const OLD_LEFT_PCT = 10;

/** Renewing the soil of a home that stands: part by part, never more than half, the young and what feeds them kept. */
export function RefreshPlan({ code, volumeL }: { code: string; volumeL: number }) {
  const today = useHouse((house) => house.round?.on);
  const [isOpen, setOpen] = useState(false);
  const [share, setShare] = useState('50');
  const [interval, setInterval] = useState('90');
  if (today === undefined) return null;
  if (!isOpen)
    return <LinkRow links={[{ title: `Renew the soil of ${code} part by part`, onPress: () => setOpen(true) }]} />;
  const steps = refreshPlan(volumeL, Number(share), Number(interval), OLD_LEFT_PCT, today);
  return (
    <View style={{ gap: space.s }}>
      <Strong>{`Renewing ${code} part by part`}</Strong>
      <Soft>
        Never more than half at a time: old soil is full of young and of what they eat. A full change is for an unknown
        mould, or for mites or nematodes out of hand.
      </Soft>
      <Choices label={`Share of ${code} each time`} choices={SHARES} value={share} onChange={setShare} />
      <Choices label={`How often ${code}`} choices={INTERVALS} value={interval} onChange={setInterval} />
      {steps.map((step) => (
        <Soft key={step.on}>
          {`${dayWords(step.on, today)}: ${litres(step.changeL)} out, as much new in; ${Math.round(step.oldLeftPct)} % of the old left`}
        </Soft>
      ))}
    </View>
  );
}
