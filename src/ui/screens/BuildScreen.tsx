import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { fitOf, sectionOf, soilEntry, withSoil } from '@/client/fitting';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useSheets } from '@/client/sheets';
import { useStock } from '@/client/stock';
import type { Home, Resident } from '@/contract/records';
import { ventsOf } from '@/core/housing/drilling';
import { apertureMm } from '@/core/housing/openings';
import { buildHome, type BuildStep, type BuiltHome } from '@/core/substrate/buildSheet';
import type { MaterialTable, Mix } from '@/core/substrate/material';
import { pool } from '@/core/substrate/pool';
import { WETNESS_OF_FEEL, type Feel } from '@/core/substrate/wetness';
import { airSchool } from '@/core/profiles/schools';
import { RefreshPlan } from '../build/RefreshPlan';
import { StepList } from '../build/StepList';
import { PooledSheet } from '../build/PooledSheet';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Toggles } from '../kit/Toggles';
import { Body, Heading, Name, Soft, Title } from '../components/Words';
import { usePrintStyle } from '../build/printStyle';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { space } from '../theme/tokens';
import { fillingRangeWords } from '@/words/build';
import { FEEL_CHOICES, kilograms } from '@/words/home';
import { calledWords } from '@/words/residents';
import { Waiting } from '../kit/Waiting';

interface Props {
  /** Codes or ids of the homes to build, from the address. */
  homeIds: string[];
  /** For whom the first home is built, when nobody lives in it yet. */
  forId: string | undefined;
}

/** What to drill, mix and fill, step by step: for one home, or for several from one heap. */
export function BuildScreen({ homeIds, forId }: Props) {
  const { homes, residents } = useHouse();
  const { table, mixes, problem, load } = useStock();
  const loading = useLoadState();
  usePrintStyle();
  if (loading) return <Screen>{loading}</Screen>;
  if (table === null) {
    return (
      <Screen>
        <PaneHeader back="/homes" title="Back" />
        <Waiting problem={problem} again={() => void load()}>
          Fetching the materials…
        </Waiting>
      </Screen>
    );
  }
  const known = homes.filter((home) => homeIds.includes(home.id));
  const forWhom = residents.find((each) => each.id === forId);
  return <Sheet key={homeIds.join()} homes={known} forWhom={forWhom} table={table} mixes={mixes} />;
}

interface SheetProps {
  homes: Home[];
  forWhom: Resident | undefined;
  table: MaterialTable;
  mixes: Mix[];
}

function Sheet({ homes, forWhom, table, mixes }: SheetProps) {
  const { homes: all, residents, care } = useHouse();
  const [feelNow, setFeelNow] = useState<Feel | 'dry'>('dry');
  const [mixOf, setMixOf] = useState<Record<string, string>>({});
  const plans = useMemo(
    () =>
      homes.flatMap((home) => {
        const resident = residents.find((each) => each.homeId === home.id) ?? forWhom;
        if (!resident) return [];
        const profile = care.of(resident);
        const mixId = mixOf[home.id] ?? home.mixId ?? profile.making.mixes[0];
        const mix = mixes.find((each) => each.id === mixId) ?? mixes[0];
        if (!mix) return [];
        const depthMm = fitOf(care, home, resident).substrateDepthMm.recommended ?? home.substrateDepthMm;
        const filled = withSoil(home, depthMm);
        const built = buildHome(
          profile,
          {
            ...resident,
            school: airSchool(profile, resident.schools),
            openings: resident.schools.openings,
            ...filled,
            recipe: mix.recipe,
            wetnessFrom: feelNow === 'dry' ? 0 : WETNESS_OF_FEEL[feelNow],
          },
          table,
        );
        return [{ home, resident, mix, filled, built }];
      }),
    [homes, residents, forWhom, care, mixes, mixOf, table, feelNow],
  );
  const without = homes.filter((home) => !plans.some((plan) => plan.home.id === home.id));
  const chosen = homes.map((home) => home.id);
  const choose = (ids: string[]) => router.setParams({ homes: ids.join(','), ...(forWhom && { for: forWhom.id }) });
  return (
    <Screen
      actions={<Button grow rank="second" title="Print" disabled={plans.length === 0} onPress={() => window.print()} />}
    >
      <PaneHeader back="/homes" title="Back" />
      <Title>{plans.length > 1 ? `Build sheet, ${plans.length} homes` : 'Build sheet'}</Title>
      {homes.length === 0 ? <Body>Choose the homes to build.</Body> : null}
      {without.map((home) => (
        <Body key={home.id}>
          {`${home.code} stands free: choose it under “Other boxes” of the animal it is for, and come here from there.`}
        </Body>
      ))}
      <View role="group" aria-label="The mix" style={{ marginTop: space.m, gap: space.s }}>
        <Heading>The mix is now</Heading>
        <Choices
          label="How the mix feels now"
          choices={[{ value: 'dry' as const, title: 'dry' }, ...FEEL_CHOICES]}
          value={feelNow}
          onChange={setFeelNow}
        />
      </View>
      {plans.length > 1 ? (
        <PooledSheet
          pooled={pool(
            plans.map((plan) => plan.built.filling),
            table,
          )}
        />
      ) : null}
      {plans.map((plan) => (
        <OneHome
          key={plan.home.id}
          {...plan}
          mixes={mixes}
          onMix={(mixId) => setMixOf((before) => ({ ...before, [plan.home.id]: mixId }))}
        />
      ))}
      <View role="group" aria-label="Homes on this sheet" style={{ marginTop: space.xl, gap: space.s }}>
        <Heading>Homes on this sheet</Heading>
        <Toggles
          label="Homes"
          choices={all
            .filter((home) => home.residentIds.length > 0 || chosen.includes(home.id))
            .map((home) => ({ value: home.id, title: home.code }))}
          values={chosen}
          onChange={choose}
        />
      </View>
    </Screen>
  );
}

interface OneProps {
  home: Home;
  resident: Resident;
  mix: Mix;
  filled: ReturnType<typeof withSoil>;
  built: BuiltHome;
  mixes: Mix[];
  onMix: (mixId: string) => void;
}

function OneHome({ home, resident, mix, filled, built, mixes, onMix }: OneProps) {
  const { care, load } = useHouse();
  const { write, show } = useLog();
  const { ticked, clear } = useSheets();
  const { making } = care.of(resident);
  const isTicked = (step: BuildStep, index: number) => ticked[`${home.id}/${index} ${step.code}`] === true;
  const done = built.steps.filter(isTicked).length;
  const usual = mixes.filter((each) => making.mixes.includes(each.id) || each.id === mix.id);
  const writeDown = async () => {
    try {
      await call('changeHome', { params: { id: home.id }, body: recordOf(home, mix, built.steps.filter(isTicked)) });
      const { substrateDepthMm, soil } = filled;
      if (await write(soilEntry(home, soil ?? substrateDepthMm), `${home.code}: built and written down.`)) {
        clear(home.id);
        router.push(`/homes/${home.id}`);
      }
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
      await load();
    }
  };
  const range = fillingRangeWords(built.filling);
  const limit = home.weightLimitKg;
  const isTooHeavy = limit !== null && built.filling.wetMassG > limit * 1000;
  return (
    <View style={{ marginTop: space.xl, gap: space.s }}>
      <Heading>{`${home.code}, for ${calledWords(resident)}`}</Heading>
      <Name>{resident.scientificName}</Name>
      <Soft>{`${kilograms(built.filling.wetMassG)} of damp soil; ${kilograms(built.filling.dryMassG)} dry`}</Soft>
      {range === null ? null : <Soft>{range}</Soft>}
      {isTooHeavy ? <Body>{`More than the ${limit} kg this box bears: fill less, or take another.`}</Body> : null}
      <Choices
        label={`Mix for ${home.code}`}
        choices={usual.map(({ id, name }) => ({ value: id, title: name }))}
        value={mix.id}
        onChange={onMix}
      />
      <MeasuredSection
        plan={sectionOf(care, { ...filled, container: asBuilt(home, built.steps) }, resident)}
        fit={null}
        subject={home.code}
      />
      <StepList homeId={home.id} code={home.code} steps={built.steps} />
      {built.filling.volumeL > 0 ? <RefreshPlan code={home.code} volumeL={built.filling.volumeL} /> : null}
      <LinkRow links={[{ title: `Start ${home.code} again`, onPress: () => clear(home.id) }]} />
      <Button
        title={`Write down ${home.code} as built`}
        disabled={done === 0}
        onPress={() => void writeDown()}
        rank={done === built.steps.length ? 'main' : 'second'}
      />
    </View>
  );
}

/** The container with the openings that some steps drill and cover. */
function asBuilt({ container }: Home, steps: BuildStep[]): Home['container'] {
  const drilled = steps.find((step) => step.code === 'drill');
  const covered = steps.find((step) => step.code === 'cover');
  const vents = container.vents.map((vent) =>
    covered && apertureMm(vent) >= covered.meshApertureMm
      ? { ...vent, meshApertureMm: covered.meshApertureMm * 0.9 }
      : vent,
  );
  return { ...container, vents: [...vents, ...(drilled ? ventsOf(drilled.plan) : [])] };
}

/** What the ticked steps have changed about the box. */
function recordOf(home: Home, mix: Mix, done: BuildStep[]) {
  const drilled = done.find((step) => step.code === 'drill');
  const covered = done.find((step) => step.code === 'cover');
  const litter = done.find((step) => step.code === 'litter');
  const pieces = done.filter((step) => step.code === 'furnish');
  const kept = (home.furniture ?? []).filter((piece) => !pieces.some((step) => step.kind === piece.kind));
  return {
    mixId: mix.id,
    ...((drilled ?? covered) && { container: asBuilt(home, done) }),
    ...(litter && { litterDepthMm: litter.depthMm }),
    ...(pieces.length > 0 && {
      furniture: [
        ...kept,
        ...pieces.map(({ kind, count }) => ({ kind, count, ...(kind === 'bottle' && { stopped: true }) })),
      ],
    }),
  };
}
