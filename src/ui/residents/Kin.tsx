import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useGone } from '@/client/gone';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { areSiblings } from '@/core/growth/kin';
import type { Day } from '@/core/measure/day';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { DayInput } from '../kit/DayInput';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { useTyped } from '../forms/useTyped';
import { Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { calledWords } from '@/words/residents';

/** Where it comes from and who is related to it, here or gone. */
export function Kin({ resident, today }: { resident: Resident; today: string }) {
  const residents = useHouse((house) => house.residents);
  const { gone, load } = useGone();
  useEffect(() => void load().catch(() => undefined), [load, residents]);
  const ofKind = [...residents, ...gone].filter((each) => each.scientificName === resident.scientificName);
  const named = (id: string | null) => ofKind.find((each) => each.id === id);
  const parents = [
    { word: 'Mother', who: named(resident.motherId) },
    { word: 'Father', who: named(resident.fatherId) },
    { word: 'Came out of', who: named(resident.outOfId) },
  ].flatMap(({ word, who }) => (who ? [{ word, who }] : []));
  const siblings = ofKind.filter((each) => each.id !== resident.id && areSiblings(each, resident));
  const young = ofKind.filter((each) => [each.motherId, each.fatherId, each.outOfId].includes(resident.id));
  const facts = [
    resident.bornOn === null ? null : `hatched ${dayWords(resident.bornOn, today)}`,
    resident.batch === null ? null : `batch ${resident.batch}`,
    resident.source === null ? null : `from ${resident.source}`,
    resident.permit === null ? null : `permit ${resident.permit}`,
  ].filter((fact) => fact !== null);
  const linkTo = (each: Resident) => ({
    title: `${calledWords(each)}${gone.some(({ id }) => id === each.id) ? ' (gone)' : ''}`,
    onPress: () => router.push(`/residents/${each.id}`),
  });
  const kin = [
    ...parents.map(({ word, who }) => ({ word, links: [linkTo(who)] })),
    { word: 'Siblings', links: siblings.map(linkTo) },
    { word: 'Young', links: young.map(linkTo) },
  ].filter(({ links }) => links.length > 0);
  return (
    <Fold title="Where it comes from">
      <View style={{ gap: space.xs }}>
        {facts.length === 0 && kin.length === 0 ? <Soft>Nothing is written down yet.</Soft> : null}
        {facts.length > 0 ? <Soft>{facts.join(', ')}</Soft> : null}
        {kin.map(({ word, links }) => (
          <View key={word}>
            <Soft>{word}</Soft>
            <LinkRow links={links} />
          </View>
        ))}
      </View>
      <KinForm resident={resident} ofKind={ofKind.filter((each) => each.id !== resident.id)} />
    </Fold>
  );
}

const NOBODY = 'nobody';

function KinForm({ resident, ofKind }: { resident: Resident; ofKind: Resident[] }) {
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const [isOpen, setOpen] = useState(false);
  const today = useHouse((house) => house.round?.on);
  const [bornOn, setBornOn] = useState<Day | ''>(resident.bornOn ?? '');
  const batch = useTyped(resident.batch ?? '');
  const [motherId, setMother] = useState(resident.motherId ?? NOBODY);
  const [fatherId, setFather] = useState(resident.fatherId ?? NOBODY);
  if (!isOpen) return <LinkRow links={[{ title: 'Write down where it comes from', onPress: () => setOpen(true) }]} />;
  const save = async () => {
    const idOf = (id: string) => (id === NOBODY ? null : id);
    const body = {
      bornOn: bornOn === '' ? null : bornOn,
      batch: batch.isEmpty ? null : batch.text,
      motherId: idOf(motherId),
      fatherId: idOf(fatherId),
    };
    try {
      await call('changeResident', { params: { id: resident.id }, body });
      await load();
      show({ text: `${calledWords(resident)}: written down.` });
      setOpen(false);
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const parents = (sex: 'female' | 'male') => [
    { value: NOBODY, title: 'not known' },
    ...ofKind
      .filter((each) => each.form !== 'single' || each.sex !== (sex === 'female' ? 'male' : 'female'))
      .map((each) => ({ value: each.id, title: calledWords(each) })),
  ];
  return (
    <View style={{ gap: space.m, marginTop: space.m }}>
      <DayInput label="Hatched on" value={bornOn} onChange={setBornOn} none="not known" isOptional max={today} />
      <Field label="Batch" {...batch.field} hint="Those of one batch are siblings: the forecast learns from them." />
      <Strong>Mother</Strong>
      <Choices isNamedAbove label="Mother" choices={parents('female')} value={motherId} onChange={setMother} />
      <Strong>Father</Strong>
      <Choices isNamedAbove label="Father" choices={parents('male')} value={fatherId} onChange={setFather} />
      <Button title="Save" onPress={() => void save()} />
    </View>
  );
}
