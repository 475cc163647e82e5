import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useGone } from '@/client/gone';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import { areSiblings } from '@/core/growth/kin';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormDay } from '../forms/FormDay';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
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
  const isStrange = [resident.motherId, resident.fatherId, resident.outOfId].some((id) => id !== null && !named(id));
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
        {isStrange ? <Forebears id={resident.id} /> : null}
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

/** Of whom it comes that never lived in this house. */
function Forebears({ id }: { id: string }) {
  const { answer } = useCall(id, () => call('lineage', { params: { id } }));
  const strangers = (answer?.forebears ?? []).filter(({ isOfThisHouse }) => !isOfThisHouse);
  if (strangers.length === 0) return null;
  return (
    <View>
      <Soft>Comes of, in other houses</Soft>
      {strangers.map((each) => (
        <Strong key={each.id}>
          {[calledWords(each), each.sex === 'unknown' ? '' : each.sex, GENERATIONS[each.generation] ?? 'further back']
            .filter((word) => word !== '')
            .join(', ')}
        </Strong>
      ))}
    </View>
  );
}

const GENERATIONS: Record<number, string> = { 1: 'parent', 2: 'grandparent' };

const NOBODY = 'nobody';

function KinForm({ resident, ofKind }: { resident: Resident; ofKind: Resident[] }) {
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const [isOpen, setOpen] = useState(false);
  const today = useHouse((house) => house.round?.on);
  const form = useFields({
    bornOn: resident.bornOn ?? '',
    batch: resident.batch ?? '',
    motherId: resident.motherId ?? NOBODY,
    fatherId: resident.fatherId ?? NOBODY,
  });
  const { control } = form;
  if (!isOpen) return <LinkRow links={[{ title: 'Write down where it comes from', onPress: () => setOpen(true) }]} />;
  const save = async ({ bornOn, batch, motherId, fatherId }: typeof form.values) => {
    const idOf = (id: string) => (id === NOBODY ? null : id);
    const body = {
      bornOn: bornOn === '' ? null : bornOn,
      batch: batch.trim() === '' ? null : batch.trim(),
      motherId: idOf(motherId),
      fatherId: idOf(fatherId),
    };
    await call('changeResident', { params: { id: resident.id }, body });
    await load();
    show({ text: `${calledWords(resident)}: written down.` });
    setOpen(false);
  };
  const parents = (sex: 'female' | 'male') => [
    { value: NOBODY, title: 'not known' },
    ...ofKind
      .filter((each) => each.form !== 'single' || each.sex !== (sex === 'female' ? 'male' : 'female'))
      .map((each) => ({ value: each.id, title: calledWords(each) })),
  ];
  return (
    <View style={{ marginTop: space.m }}>
      <Form form={form} act="Save" save={save}>
        <FormDay control={control} name="bornOn" label="Hatched on" none="not known" isOptional max={today} />
        <FormField
          control={control}
          name="batch"
          label="Batch"
          hint="Those of one batch are siblings: the forecast learns from them."
        />
        <Strong>Mother</Strong>
        <FormChoices control={control} name="motherId" isNamedAbove label="Mother" choices={parents('female')} />
        <Strong>Father</Strong>
        <FormChoices control={control} name="fatherId" isNamedAbove label="Father" choices={parents('male')} />
      </Form>
    </View>
  );
}
