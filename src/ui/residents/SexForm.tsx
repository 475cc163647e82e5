import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { SEX_EVIDENCE, SEXES, type SexEvidence } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Soft } from '../components/Words';
import { DayField, useDay } from './DayField';
import { space } from '../theme/tokens';
import { EVIDENCE_WORDS } from '@/words/entries';
import { calledWords } from '@/words/residents';

/** Its sex, and what that was told by; what its kind shows stands beside it. */
export function SexForm({ resident, onDone }: { resident: Resident; onDone: () => void }) {
  const write = useLog((log) => log.write);
  const { sexing = [] } = useHouse((house) => house.care).of(resident);
  const day = useDay();
  const [sex, setSex] = useState(resident.sex);
  const known = sexing.map((each) => each.by);
  const ways = [...known, ...SEX_EVIDENCE.filter((each) => !known.includes(each))];
  const [by, setBy] = useState<SexEvidence>(ways[0] ?? 'size');
  const save = async () => {
    const text = `${calledWords(resident)}: ${sex}, by ${EVIDENCE_WORDS[by]}.`;
    if (await write({ kind: 'sexed', residentId: resident.id, sex, by, ...day.field }, text)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Choices label="Sex" choices={SEXES.map((value) => ({ value, title: value }))} value={sex} onChange={setSex} />
      <Choices
        label="Told by"
        choices={ways.map((value) => ({ value, title: EVIDENCE_WORDS[value] }))}
        value={by}
        onChange={setBy}
      />
      {sexing.map((each) => (
        <Soft key={each.how}>{`${EVIDENCE_WORDS[each.by]}: ${each.how} (${each.basis})`}</Soft>
      ))}
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}
