import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useKnownNames } from '@/client/names';
import type { Resident, ResidentChange } from '@/contract/records';
import { kindAfter } from '@/core/profiles/kindOfName';
import { checkScientificName } from '@/core/measure/scientificName';
import { calledWords } from '@/words/residents';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Title } from '../components/Words';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { anyLength, headCountIn, lengthIn, nameCheck, orEmpty } from '../forms/checks';
import { NowNamed } from '../handbook/NowNamed';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { NobodyHere } from '../residents/NobodyHere';
import { OriginFields } from '../residents/OriginFields';
import { space } from '../theme/tokens';
import { useLength } from '@/words/useLength';

interface Values {
  scientificName: string;
  commonName: string;
  called: string;
  source: string;
  permit: string;
  batch: string;
  headCount: string;
  grownMm: string;
}

const HEADS = [
  { value: 'single', title: 'One animal' },
  { value: 'group', title: 'Several' },
] as const;

/** Who a resident is: its names, where it came from, and whether it is one or several. All of it can be changed at any time. */
export function WhoScreen({ residentId }: { residentId: string }) {
  const resident = useHouse((house) => house.residents.find((each) => each.id === residentId));
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  return resident ? <Who key={residentId} resident={resident} /> : <NobodyHere />;
}

function Who({ resident }: { resident: Resident }) {
  const { care, load } = useHouse();
  const show = useLog((log) => log.show);
  const { scientificName, commonName, called, source, permit, batch } = resident;
  const length = useLength();
  const { measure, growth } = care.of({ ...resident, grownMm: undefined });
  const grownText = resident.grownMm === undefined ? '' : length.short(resident.grownMm);
  const before = { scientificName, commonName: commonName ?? '', called: called ?? '', batch: batch ?? '' };
  const fields = useFields<Values>({
    ...before,
    source: source ?? '',
    permit: permit ?? '',
    headCount: '',
    grownMm: grownText,
  });
  const { control, handleSubmit, setValue, formState } = fields;
  const [form, setForm] = useState(resident.form);
  const [kinAsked, setKinAsked] = useState<string>();
  const typed = fields.values.scientificName.trim();
  const known = useKnownNames();
  const willBe = checkScientificName(typed).ok ? kindAfter(known, resident, typed) : resident.profile;
  const isCounted = resident.form === 'single' && form === 'group';

  const save = async (values: Values, withKin: boolean) => {
    const text = (name: Exclude<keyof Values, 'headCount' | 'scientificName' | 'grownMm'>) => {
      const said = values[name].trim();
      return said === (resident[name] ?? '') ? {} : { [name]: said === '' ? null : said };
    };
    const body: Partial<ResidentChange> = {
      ...(typed !== scientificName && { scientificName: typed }),
      ...text('commonName'),
      ...text('called'),
      ...text('source'),
      ...text('permit'),
      ...text('batch'),
      ...(values.grownMm.trim() !== grownText && { grownMm: lengthIn(values.grownMm, length.unit) ?? null }),
      ...(form !== resident.form && { form }),
      ...(isCounted && headCountIn(values.headCount) !== undefined && { headCount: headCountIn(values.headCount) }),
      ...(withKin && { withKin }),
    };
    if (Object.keys(body).length === 0) return router.back();
    try {
      const reply = await call('changeResident', { params: { id: resident.id }, body });
      await load();
      show({ text: `${calledWords(reply.resident)}: written down. Everything is worked out anew.` });
      router.back();
    } catch (error) {
      const asked = error instanceof CallFailed && error.fields.some(({ path }) => path === 'withKin');
      setKinAsked(asked ? problemOf(error) : undefined);
      if (!asked) fields.place(error);
    }
  };

  return (
    <Screen
      actions={
        <>
          <Problems form={fields} />
          <Button
            grow
            title="Save"
            disabled={formState.isSubmitting}
            onPress={() => void handleSubmit((values) => save(values, false))()}
          />
        </>
      }
    >
      <PaneHeader back={`/residents/${resident.id}`} title={calledWords(resident)} />
      <Title>Who it is</Title>
      <View style={{ gap: space.m, marginTop: space.m }}>
        <FormField control={control} name="scientificName" label="Scientific name" check={nameCheck} />
        <NowNamed scientificName={typed} onTake={(name) => setValue('scientificName', name)} />
        {willBe !== resident.profile ? (
          <Body>{`By this name it is kept as ${care.of({ profile: willBe }).name.toLowerCase()} from now on.`}</Body>
        ) : null}
        {kinAsked === undefined ? null : (
          <>
            <Body role="alert">{kinAsked}</Body>
            <Button
              rank="second"
              title="Rename them too"
              onPress={() => void handleSubmit((values) => save(values, true))()}
            />
          </>
        )}
        <FormField control={control} name="commonName" label="Common name, if any" />
        <FormField control={control} name="called" label="What you call it, if anything" />
        {resident.form === 'single' || resident.form === 'group' ? (
          <>
            <Heading>One or several</Heading>
            <Choices isNamedAbove label="One or several" choices={HEADS} value={form} onChange={setForm} />
            {isCounted ? (
              <FormField
                control={control}
                name="headCount"
                label="How many"
                hint="About so many will do; a count can follow."
                keyboard="number-pad"
                check={(text) => headCountIn(text) !== undefined || 'A whole number from 1 to 1000000.'}
              />
            ) : null}
          </>
        ) : null}
        {resident.form === 'single' || resident.form === 'group' ? (
          <FormField
            control={control}
            name="grownMm"
            label={`Grows to a ${measure.name} of about, ${length.unit}`}
            hint={`Left empty: ${length.long(growth.grownMm.value)}, ${growth.grownMm.basis}.`}
            check={orEmpty(anyLength(length.unit))}
            keyboard="decimal-pad"
          />
        ) : null}
        <Heading>Origin and papers</Heading>
        <OriginFields control={control} />
        <Soft>Sizes, moults and the stage are put right where they were written down, in its log.</Soft>
      </View>
    </Screen>
  );
}
