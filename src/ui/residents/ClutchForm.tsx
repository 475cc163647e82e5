import { View } from 'react-native';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { Button } from '../kit/Button';
import { Field } from '../kit/Field';
import { Soft } from '../components/Words';
import { countOrNoneIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { DayField, useDay } from './DayField';

/** Eggs that were found in the soil, and how many of them went into the freezer. */
export function ClutchForm({ resident, onDone }: { resident: Resident; onDone: () => void }) {
  const write = useLog((log) => log.write);
  const [eggs, frozen] = [useTyped(), useTyped()];
  const day = useDay();
  const save = async () => {
    const [found, cold] = [countOrNoneIn(eggs.text), countOrNoneIn(frozen.text)];
    if (found === undefined) return eggs.refuse('A whole number from 0 up.');
    if (cold === undefined) return frozen.refuse('A whole number from 0 up.');
    if (cold > found) return frozen.refuse(`At most the ${found} that were found.`);
    const entry = { kind: 'clutch', residentId: resident.id, eggs: found, frozen: cold, ...day.field } as const;
    if (await write(entry, `${calledWords(resident)}: ${found} eggs, ${cold} frozen.`)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Field label="Eggs found" {...eggs.field} keyboard="number-pad" />
      <Field label="Of them into the freezer" {...frozen.field} keyboard="number-pad" />
      <Soft>
        Freeze at least 24 hours, then crush. Those you keep are taken in as eggs, in a box of their own. Runts and
        faulty shells are not bred from.
      </Soft>
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}
