import { router } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Pressable, View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { rankFor, sectionOf } from '@/client/fitting';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import { profileOf, profiles, type ProfileId } from '@/contract/profiles';
import { knownSpecies } from '@/contract/species';
import type { RankedHome } from '@/core/housing/rank';
import { checkScientificName } from '@/core/measure/scientificName';
import { SEXES, type Stage } from '@/core/profiles/profile';
import { Button } from '../components/Button';
import { Choices } from '../components/Choices';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { FormField } from '../forms/FormField';
import { lengthCheck, lengthIn } from '../forms/checks';
import { RankedBoxes } from '../housing/RankedBoxes';
import { Cautions } from '../residents/Cautions';
import { space, target } from '../theme/tokens';
import { useLength } from '../words/useLength';

interface Values {
  scientificName: string;
  commonName: string;
  called: string;
  legSpan: string;
  source: string;
  permit: string;
}

const SPAN_LIMITS_MM = [0.5, 400] as const;

const nameCheck = (text: string): string | true => {
  const check = checkScientificName(text);
  if (check.ok) return true;
  return check.suggestion ? `${check.problem} Write ${check.suggestion}.` : check.problem;
};

/** Takes an animal in: who it is, how big, and which of the free boxes serves it. */
export function TakeInScreen({ homeId }: { homeId?: string | undefined }) {
  const styles = useStyles();
  const length = useLength();
  const { homes, load } = useHouse();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  const { control, setValue, setError, handleSubmit, clearErrors } = useForm<Values>({
    defaultValues: { scientificName: '', commonName: '', called: '', legSpan: '', source: '', permit: '' },
    mode: 'onTouched',
  });
  const [profile, setProfile] = useState<ProfileId>('ground-tarantula');
  const [stage, setStage] = useState<Stage>('juvenile');
  const [sex, setSex] = useState<(typeof SEXES)[number]>('unknown');
  const [chosenId, setChosenId] = useState(homeId);
  const [isBusy, setBusy] = useState(false);
  const [typedName, typedSpan] = useWatch({ control, name: ['scientificName', 'legSpan'] });
  if (loading) return <Screen>{loading}</Screen>;

  const nameForm = checkScientificName(typedName);
  const suggestion = nameForm.ok ? undefined : nameForm.suggestion;
  const species = knownSpecies.find((each) => each.name === typedName.trim());
  const free = homes.filter((home) => home.residentIds.length === 0);
  const legSpanMm = lengthIn(typedSpan, length.unit);
  const animal = legSpanMm !== undefined && legSpanMm <= SPAN_LIMITS_MM[1] ? { profile, stage, legSpanMm } : null;
  const ranking = animal ? rankFor(animal, free) : [];
  const chosen = free.find((home) => home.id === chosenId);
  const ranked = ranking.find((each) => each.homeId === chosenId);

  const pickSpecies = (name: string) => {
    const known = knownSpecies.find((each) => each.name === name);
    setValue('scientificName', name);
    clearErrors('scientificName');
    if (!known) return;
    setValue('commonName', known.commonName);
    setProfile(known.profile);
  };

  const takeIn = async (values: Values) => {
    if (!chosen || !ranked || legSpanMm === undefined || isBusy) return;
    const given = (text: string) => (text.trim() === '' ? undefined : text.trim());
    setBusy(true);
    try {
      const { resident, entry } = await call('takeIn', {
        body: {
          scientificName: values.scientificName.trim(),
          commonName: given(values.commonName),
          called: given(values.called),
          source: given(values.source),
          permit: given(values.permit),
          profile,
          stage,
          sex,
          legSpanMm,
          homeId: chosen.id,
          substrateDepthMm: ranked.depthMm,
          ...keeperField(),
        },
      });
      await load();
      show({
        text: `${resident.called ?? resident.scientificName} taken in to ${chosen.code}.`,
        undoEntryId: entry.id,
      });
      router.replace(`/homes/${chosen.id}`);
    } catch (error) {
      if (error instanceof CallFailed) {
        for (const { path, message } of error.fields) {
          const field = path === 'legSpanMm' ? 'legSpan' : path;
          if (field in values) setError(field as keyof Values, { message });
        }
      }
      show({ text: problemOf(error), isProblem: true });
    } finally {
      setBusy(false);
    }
  };

  return (
    <Screen
      actions={
        <Button
          grow
          disabled={!chosen || !ranked || isBusy}
          rank={ranked?.fit.verdict === 'fail' ? 'second' : 'main'}
          title={takeInTitle(chosen?.code, ranked)}
          onPress={() => void handleSubmit(takeIn)()}
        />
      }
    >
      <Title>Take in</Title>
      <View style={styles.part}>
        <Heading>Who it is</Heading>
        <View style={styles.known}>
          {knownSpecies.map(({ name }) => (
            <Pressable
              key={name}
              role="button"
              aria-label={`Fill in ${name}`}
              onPress={() => pickSpecies(name)}
              style={styles.species}
            >
              <Name style={styles.speciesName}>{name}</Name>
            </Pressable>
          ))}
        </View>
        <FormField
          control={control}
          name="scientificName"
          label="Scientific name"
          check={nameCheck}
          hint="Genus species, or Genus sp. 'locality'"
        />
        {suggestion !== undefined ? (
          <Button rank="second" title={`Write ${suggestion}`} onPress={() => pickSpecies(suggestion)} />
        ) : null}
        <FormField control={control} name="commonName" label="Common name, if any" />
        <FormField control={control} name="called" label="What you call it, if anything" />
        <Cautions species={species} />
      </View>
      <View style={styles.part}>
        <Heading>Kind</Heading>
        <Choices
          label="Kind"
          choices={profiles.map(({ id, name }) => ({ value: id as ProfileId, title: name }))}
          value={profile}
          onChange={setProfile}
        />
        <Heading>Stage</Heading>
        <Choices
          label="Stage"
          choices={profileOf(profile).stages.map((value) => ({ value, title: value }))}
          value={stage}
          onChange={setStage}
        />
        <Heading>Sex</Heading>
        <Choices label="Sex" choices={SEXES.map((value) => ({ value, title: value }))} value={sex} onChange={setSex} />
        <FormField
          control={control}
          name="legSpan"
          label={`Leg span, ${length.unit}`}
          hint="Across, leg I to leg IV. You may write another unit behind it: 4 in, 10 cm."
          keyboard="decimal-pad"
          check={lengthCheck(length.unit, ...SPAN_LIMITS_MM)}
        />
      </View>
      <View style={styles.part}>
        <Heading>Papers</Heading>
        <FormField control={control} name="source" label="Where it came from" />
        <FormField control={control} name="permit" label="Permit, if one is needed" />
      </View>
      <View style={styles.part}>
        <Heading>Which box</Heading>
        {!animal ? <Body>Write the leg span above, and your free boxes are ranked here.</Body> : null}
        {animal && free.length === 0 ? <Body>No box is free. Add one under Homes.</Body> : null}
        {animal && chosen && ranked ? (
          <View>
            <Strong>{`${chosen.code}, filled to ${length.long(ranked.depthMm)}`}</Strong>
            <MeasuredSection plan={sectionOf(chosen, animal, ranked.depthMm)} fit={ranked.fit} subject={chosen.code} />
          </View>
        ) : null}
        <RankedBoxes ranking={ranking} homes={free} chosenId={chosenId} onChoose={setChosenId} />
        {animal ? (
          <Soft>Taking in writes the depth down as filled. Let the box settle before the animal moves in.</Soft>
        ) : null}
      </View>
    </Screen>
  );
}

function takeInTitle(code: string | undefined, ranked: RankedHome | undefined): string {
  if (code === undefined || !ranked) return 'Choose a box first';
  return `Take in to ${code}${ranked.fit.verdict === 'fail' ? ' all the same' : ''}`;
}

const useStyles = makeStyles((theme) => ({
  part: { gap: space.m, marginTop: space.l },
  known: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.l },
  species: {
    minHeight: target,
    justifyContent: 'center',
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.inkSoft,
  },
  speciesName: { fontSize: 17 },
}));
