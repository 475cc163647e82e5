import { router } from 'expo-router';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Pressable, View } from 'react-native';
import { call } from '@/client/api';
import { boxesFor } from '@/client/boxes';
import { companyOf } from '@/client/company';
import { sectionOf, withSoil } from '@/client/fitting';
import { useBook } from '@/client/handbook';
import { useHouse } from '@/client/house';
import { undoing, useLog } from '@/client/log';
import { useKindOfName, useNameIndex } from '@/client/names';
import { keeperField } from '@/client/preferences';
import { useNewBoxes } from '@/client/useNewBoxes';
import type { RankedHome } from '@/core/housing/rank';
import { checkScientificName } from '@/core/measure/scientificName';
import { headsIn } from '@/core/growth/census';
import { isCountedKind, moultsNoMore } from '@/core/growth/moulting';
import { usualForm } from '@/core/profiles/animal';
import { SEXES, type Stage } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Name, Soft, Strong, Title } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { sizeField, useUnwatchedFields } from '../forms/useFields';
import { headCountIn, INSTAR_PROBLEM, instarIn, lengthCheck, lengthIn, nameCheck } from '../forms/checks';
import { CompanyChecks } from '../housing/CompanyChecks';
import { RankedBoxes } from '../housing/RankedBoxes';
import { NowNamed } from '../handbook/NowNamed';
import { Cautions } from '../residents/Cautions';
import { KindChoice } from '../residents/KindChoice';
import { HeadFields } from '../takeIn/HeadFields';
import { KNOWN_DAYS, KnownFields } from '../takeIn/KnownFields';
import { EMPTY, instarsIn, type Ants, type TakeInValues } from '../takeIn/values';
import { NewBox } from '../housing/NewBox';
import { OriginFields } from '../residents/OriginFields';
import { space, target } from '../theme/tokens';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';

/** By the measure that is taken; the server holds each to its own. */
const SIZE_LIMITS_MM = { legSpanMm: [0.5, 400], bodyLengthMm: [0.2, 640], carapaceWidthMm: [0.05, 60] } as const;
/** So many species are offered while the name is typed. */
const OFFERED = 6;

/** Takes an animal in: who it is, how big, and which of the free boxes serves it. */
export function TakeInScreen({ homeId }: { homeId?: string | undefined }) {
  const styles = useStyles();
  const length = useLength();
  const { homes, residents, care, species: knownSpecies, round, load } = useHouse();
  const { boxesToGet, addBox } = useNewBoxes();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  const index = useNameIndex();
  const ownCards = useBook()?.ownCards;
  const form = useUnwatchedFields<TakeInValues>(EMPTY, sizeField);
  const { control, setValue, handleSubmit, clearErrors } = form;
  const [byHand, setByHand] = useState<{ profile: string; over: string | undefined }>();
  const [chosenStage, setStage] = useState<Stage>('juvenile');
  const [sex, setSex] = useState<(typeof SEXES)[number]>('unknown');
  const [chosenId, setChosenId] = useState(homeId);
  const [isBusy, setBusy] = useState(false);
  const [chosenAnts, setAnts] = useState<Ants>();
  const [typedName, typedSize, typedHeads, typedInstars] = useWatch({
    control,
    name: ['scientificName', 'size', 'headCount', 'instars'],
  });
  const scientificName = typedName.trim();
  const nameForm = checkScientificName(typedName);
  const told = useKindOfName(nameForm.ok ? scientificName : '');
  if (loading) return <Screen>{loading}</Screen>;

  const suggestion = nameForm.ok ? undefined : nameForm.suggestion;
  // What was chosen by hand holds until the name tells another kind.
  const profile = byHand && byHand.over === told?.profile ? byHand.profile : told?.profile;
  const stages = profile === undefined ? [] : care.of({ profile }).stages;
  const stage = chosenStage === 'egg' || stages.includes(chosenStage) ? chosenStage : (stages.at(-1) ?? chosenStage);
  const kept = profile === undefined ? undefined : care.of({ profile, scientificName, stage });
  const isEggs = stage === 'egg' && kept?.silhouette !== 'ant';
  const measure = kept?.measure;
  const limits = measure && SIZE_LIMITS_MM[measure.takes];
  const sizeMm = lengthIn(typedSize, length.unit);
  const instars = instarsIn(typedInstars) ?? undefined;
  const isAnt = kept?.silhouette === 'ant';
  const ants = isAnt ? chosenAnts : undefined;
  const counted = headCountIn(typedHeads) ?? (instars && headsIn(instars));
  // A queen alone is left in peace, a colony is fed: that is not guessed.
  const isUnsaid = isAnt && ants === undefined;
  const headCount = ants === 'founding' ? undefined : counted;
  const isMeasured = limits !== undefined && sizeMm !== undefined && sizeMm >= limits[0] && sizeMm <= limits[1];
  const isGroup = kept?.company.sameKind === 'group';
  // Cultures are counted, not followed from moult to moult; snails do not moult.
  const usesInstars = kept !== undefined && !isCountedKind(kept);
  const isSingle = kept !== undefined && !isEggs && usualForm(kept, headCount) === 'single';
  const mayMoult = isSingle && !moultsNoMore(kept, stage);
  const hasSoil = kept?.work.some(({ work }) => work === 'refresh') === true;
  // A moult is told of one animal, a last meal of those that hunt, a count of those that are counted.
  const isKnown = {
    ...{ on: true, bornOn: true, lastMoultOn: isSingle && usesInstars, lastMealOn: kept?.feeding !== undefined },
    ...{ countedOn: headCount !== undefined && !isEggs, soilChangedOn: hasSoil && !isEggs },
  };
  const size = {
    ...(measure && isMeasured && { [measure.takes]: sizeMm }),
    ...(isGroup && headCount !== undefined && { headCount }),
  };
  const newcomer = profile === undefined ? undefined : { profile, scientificName, called: null, headCount, stage };
  // Kinds that are counted may come without a measure.
  const animal = newcomer && (isMeasured || measure?.usualMm) ? { ...newcomer, ...size } : null;
  const { ranking, withOthers } = animal ? boxesFor(care, animal, homes, residents) : { ranking: [], withOthers: [] };
  const toGet = boxesToGet(animal, chosenId);
  const { newBox } = toGet;
  const serves = ranking.some(({ verdict }) => verdict !== 'fail');
  const fresh = <NewBox {...toGet} isOpen={!serves} onChoose={setChosenId} />;
  const ranked = newBox?.ranked ?? [...ranking, ...withOthers].find((each) => each.homeId === chosenId);
  const chosen = newBox?.home ?? homes.find((home) => home.id === ranked?.homeId);
  const offered = (
    scientificName === '' ? knownSpecies.map(({ name }) => ({ id: name })) : index.search(scientificName, OFFERED + 1)
  )
    .filter(({ id }) => id !== scientificName)
    .slice(0, OFFERED);

  const pickSpecies = (name: string) => {
    const own = ownCards?.find((each) => each.name === name);
    const known = own ?? knownSpecies.find((each) => each.name === name);
    setValue('scientificName', name);
    clearErrors('scientificName');
    if (!known) return;
    setValue('commonName', known.commonName ?? '');
    setByHand(undefined);
  };

  const takeIn = async (values: TakeInValues) => {
    if (!chosen || !ranked || isBusy) return;
    const given = (text: string) => (text.trim() === '' ? undefined : text.trim());
    setBusy(true);
    try {
      const box = newBox ? await addBox(newBox.home) : chosen;
      // Whoever is refused after that finds it chosen.
      setChosenId(box.id);
      const { resident, entry } = await call('takeIn', {
        body: {
          scientificName: values.scientificName.trim(),
          commonName: given(values.commonName),
          called: given(values.called),
          source: given(values.source),
          permit: given(values.permit),
          ...Object.fromEntries(
            KNOWN_DAYS.filter(({ name }) => isKnown[name]).map(({ name }) => [name, given(values[name])]),
          ),
          ...(mayMoult && values.sign !== '' && { sign: values.sign, signSince: given(values.signSince) }),
          ...(isGroup && headCount !== undefined && values.headsAbout === 'about' && { headsAbout: true }),
          ...(ants && { queens: ants === 'queenless' ? 0 : 1 }),
          ...(isGroup && !isEggs && instars && { instars }),
          batch: given(values.batch),
          instar: isEggs || !usesInstars ? undefined : instarIn(values.instar),
          profile,
          stage,
          sex,
          ...size,
          homeId: box.id,
          substrateDepthMm: ranked.depthMm,
          ...keeperField(),
        },
      });
      await load();
      show({
        text: `${resident.called ?? resident.scientificName} taken in to ${box.code}.`,
        ...undoing(entry.id),
      });
      router.replace(`/homes/${box.id}`);
    } catch (error) {
      form.place(error);
    } finally {
      setBusy(false);
    }
  };

  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button
            grow
            disabled={!chosen || !ranked || isBusy || isUnsaid || (newBox !== undefined && !toGet.shelf)}
            rank={ranked?.verdict === 'fail' ? 'second' : 'main'}
            title={
              isUnsaid
                ? 'Say what comes home'
                : newBox
                  ? `Add it as ${newBox.home.code} and take in`
                  : takeInTitle(chosen?.code, ranked)
            }
            onPress={() => void handleSubmit(takeIn)()}
          />
        </>
      }
    >
      <Title>Take in</Title>
      <LinkRow links={[{ title: 'It comes with a file of its life', onPress: () => router.push('/life') }]} />
      <View style={styles.part}>
        <Heading>Who it is</Heading>
        <View style={styles.known}>
          {offered.map(({ id: name }) => (
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
        {nameForm.ok ? <NowNamed scientificName={scientificName} onTake={pickSpecies} /> : null}
        <FormField control={control} name="commonName" label="Common name, if any" />
        <FormField control={control} name="called" label="What you call it, if anything" />
        {nameForm.ok && profile !== undefined ? <Cautions who={{ scientificName, profile }} /> : null}
      </View>
      <View style={styles.part}>
        <KindChoice profile={profile} onChange={(id) => setByHand({ profile: id, over: told?.profile })} />
        {kept === undefined ? (
          <Body>Choose what kind of animal it is: its stages and its boxes follow from that.</Body>
        ) : null}
        {kept && told?.by === 'genus' && told.profile === profile ? (
          <Soft>{`This species is not in the handbook; others of its genus are kept as ${kept.name.toLowerCase()}.`}</Soft>
        ) : null}
        {kept ? (
          <>
            <Heading>Stage</Heading>
            <Choices
              isNamedAbove
              label="Stage"
              choices={[...new Set(['egg' as const, ...kept.stages])].map((value) => ({ value, title: value }))}
              value={stage}
              onChange={setStage}
            />
          </>
        ) : null}
        {isAnt ? null : (
          <>
            <Heading>Sex</Heading>
            <Choices
              isNamedAbove
              label="Sex"
              choices={SEXES.map((value) => ({ value, title: value }))}
              value={sex}
              onChange={setSex}
            />
          </>
        )}
        {isEggs || !usesInstars ? null : (
          <FormField
            control={control}
            name="instar"
            label="Instar, if you know it"
            hint="The first one out of the egg is 1."
            keyboard="number-pad"
            check={(text) => text.trim() === '' || instarIn(text) !== undefined || INSTAR_PROBLEM}
          />
        )}
        {measure && limits ? (
          <FormField
            control={control}
            name="size"
            label={`${capital(measure.name)}, ${length.unit}`}
            hint={`${measure.howTo} You may write another unit behind it: 4 in, 10 cm.`}
            keyboard="decimal-pad"
            check={(text) =>
              measure.usualMm && text.trim() === '' ? true : lengthCheck(length.unit, limits[0], limits[1])(text)
            }
          />
        ) : null}
        {isGroup ? (
          <HeadFields {...{ control, isEggs, isAnt, ants }} onAnts={setAnts} hasInstars={usesInstars} />
        ) : null}
      </View>
      <View style={styles.part}>
        <KnownFields {...{ control, kept, stage, isKnown, mayMoult }} today={round?.on} />
      </View>
      <View style={styles.part}>
        <Fold title="Papers: origin, batch, permit">
          <OriginFields control={control} />
        </Fold>
      </View>
      <View style={styles.part}>
        <Heading>Which box</Heading>
        {!animal ? (
          <Body>{`${measure ? `Write the ${measure.name}` : 'Say what it is'} above, and your boxes are ranked here.`}</Body>
        ) : null}
        {animal && ranking.length === 0 ? <Body>No box of yours is free.</Body> : null}
        {animal && newcomer && chosen && ranked ? (
          <View>
            <Strong>
              {ranked.depthMm > 0 ? `${chosen.code}, filled to ${length.long(ranked.depthMm)}` : chosen.code}
            </Strong>
            <MeasuredSection
              plan={sectionOf(care, withSoil(chosen, ranked.depthMm), animal)}
              fit={ranked.fit}
              subject={chosen.code}
            />
            <CompanyChecks answer={companyOf(care, newcomer, chosen, residents)} />
          </View>
        ) : null}
        {/* What nobody has yet comes first where none of one's own serves. */}
        {serves ? null : fresh}
        <RankedBoxes
          ranking={ranking}
          withOthers={withOthers}
          homes={homes}
          chosenId={chosenId}
          onChoose={setChosenId}
        />
        {serves ? fresh : null}
        {animal ? (
          <Soft>Taking in writes the depth down as filled. Let the box settle before the animal moves in.</Soft>
        ) : null}
      </View>
    </Screen>
  );
}

function takeInTitle(code: string | undefined, ranked: RankedHome | undefined): string {
  if (code === undefined || !ranked) return 'Choose a box first';
  return `Take in to ${code}${ranked.verdict === 'fail' ? ' all the same' : ''}`;
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
