import { router } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useWorked } from '@/client/airWorker';
import { houseNow } from '@/client/clock';
import { asItStands, freshQuestion, triedHome, useHomeAir, type Asked, type TriedAir } from '@/client/homeAir';
import { fitOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useStock } from '@/client/stock';
import type { Home, Resident } from '@/contract/records';
import type { HomeAir } from '@/contract/readings';
import { airFlow } from '@/core/climate/airFlow';
import { alarmStatus } from '@/core/house/homeState';
import { dampedFor, recipeIn, wishesOf } from '@/core/climate/homeAir';
import { LEFT_OUT } from '@/core/climate/leftOut';
import { WATERING_WAYS } from '@/core/climate/soilLayers';
import { pouredMl } from '@/core/climate/pouredMl';
import { floorAreaMm2 } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import { dayOfMoment } from '@/core/measure/day';
import { schoolOn } from '@/core/profiles/schools';
import { DAY_MS } from '@/core/readings/reading';
import { AheadCharts } from '../air/AheadCharts';
import { AirSliders } from '../air/AirSliders';
import { Calibration } from '../air/Calibration';
import { Fold } from '../kit/Fold';
import { HolePlan } from '../air/HolePlan';
import { OpeningShares } from '../air/OpeningShares';
import { OtherSchool } from '../air/OtherSchool';
import { SoilSection } from '../air/SoilSection';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { HomeHead } from '../housing/HomeHead';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, useStatusInk } from '../components/StatusMark';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import {
  LEFT_OUT_WORDS,
  WAY_WORDS,
  likelyWords,
  spanWords,
  roomWords,
  wateringReason,
  wateringWords,
} from '@/words/air';
import { changesWords, STALE_WORDS } from '@/words/staleAir';
import { alarmWords, pouredWords, waterWords } from '@/words/jobs';
import { useTemperature } from '@/words/temperature';
import { Waiting } from '../kit/Waiting';
import { pct } from '@/words/count';

/** Will this box stay as damp as it should, and for how long: as it stands, and as it would with other holes or another dish. */
export function AirScreen({ id }: { id: string }) {
  const { homes, residents, care } = useHouse();
  const loading = useLoadState();
  const { air, problem, load } = useHomeAir(id);
  const { table, mixes, ...stock } = useStock();
  const home = homes.find((each) => each.id === id);
  if (loading) return <Screen>{loading}</Screen>;
  const tenants = residents.filter((each) => each.homeId === id);
  const tenant = dampedFor(care, tenants);
  if (!home || !tenant || home.nest) {
    return (
      <Screen>
        {home ? <HomeHead home={home} part="air" /> : <PaneHeader back="/homes" title="Wall" />}
        <Body>{whyNot(home, tenant)}</Body>
      </Screen>
    );
  }
  if (!air || !table) {
    return (
      <Screen>
        <HomeHead home={home} part="air" />
        <Waiting problem={problem ?? (air && stock.problem)} again={() => void (air ? stock.load() : load())}>
          Asking for its air…
        </Waiting>
      </Screen>
    );
  }
  const profile = care.of(tenant);
  const asked = { profile, stage: tenant.stage, home, recipe: recipeIn(home, profile, mixes), materials: table };
  return <AirPane key={JSON.stringify([home, air.room])} asked={asked} tenant={tenant} air={air} load={load} />;
}

function whyNot(home: Home | undefined, tenant: Resident | undefined): string {
  if (!home) return 'There is no box here. It may have been an old link.';
  if (!tenant) return 'Nobody lives here: what its air should be like depends on who will.';
  return 'A nest of chambers is watered through its tubes: its air is not reckoned here yet. Readings can be kept.';
}

const SPANS = { week: 7, month: 30, season: 90 } as const;

interface PaneProps {
  asked: Omit<Asked, 'tried'>;
  tenant: Resident;
  air: HomeAir;
  load: () => Promise<void>;
}

function AirPane({ asked: base, tenant, air, load }: PaneProps) {
  const { home, profile } = base;
  const styles = useStyles();
  const temperature = useTemperature();
  const write = useLog((log) => log.write);
  const { care, round } = useHouse();
  const today = round?.on ?? dayOfMoment(new Date(houseNow()));
  const standing = useMemo(
    () => asItStands(home, profile, tenant.stage, air.room.air),
    [home, profile, tenant.stage, air],
  );
  const [tried, setTried] = useState<TriedAir>(standing);
  const [span, setSpan] = useState<keyof typeof SPANS>('month');
  const days = SPANS[span];
  const asked: Asked = { ...base, tried };
  const isTrying = JSON.stringify(tried) !== JSON.stringify(standing);
  const ahead = useAhead(asked, air, days);
  const before = useAhead({ ...base, tried: standing }, air, days);
  const readings = useReadings(air);
  const watering = wateringWords(air.watering, today);
  const likely = air.watering ? likelyWords(air.watering, today) : null;
  const ink = useStatusInk(watering.status);
  const hasSoil = home.substrateDepthMm > 0;
  const pourMl = air.watering ? pouredMl(air.watering.waterMl) : 0;
  const damped = async () => {
    const entry = { kind: 'damped' as const, residentId: tenant.id, waterMl: pourMl, neededMl: pourMl };
    if (await write(entry, `${home.code}: ${pouredWords(pourMl)}`)) await load();
  };
  const flow = airFlow({
    ...triedHome(home, tried),
    soil: home.soil ?? flat(home.substrateDepthMm),
    temperatureC: tried.room.temperatureC,
    warmingK: home.heat?.warmingK ?? 0,
    draughtMS: tried.room.draughtMS * (home.factors?.draught ?? 1),
  });
  const { largestSafeOpeningMm } = fitOf(care, home, tenant);
  return (
    <Screen
      actions={
        <>
          {air.watering ? <Button grow title={`${waterWords(pourMl)} poured`} onPress={() => void damped()} /> : null}
          <Button grow rank="second" title="Readings" onPress={() => router.push(`/homes/${home.id}/readings`)} />
        </>
      }
    >
      <HomeHead home={home} part="air" />
      <Soft>{`${air.room.name}: ${roomWords(air.room, temperature)}`}</Soft>
      <View style={styles.verdict} aria-live="polite">
        <StatusMark status={watering.status} />
        <Strong style={{ color: ink, flex: 1 }}>{watering.title}</Strong>
      </View>
      {air.watering ? <Soft>{wateringReason(air.watering, today)}</Soft> : null}
      {likely === null ? null : <Soft>{likely}</Soft>}
      {air.alarms.map((alarm) => (
        <View key={`${alarm.probeId} ${alarm.kind}`} style={styles.verdict}>
          <StatusMark status={alarmStatus(alarm)} />
          <Body style={{ flex: 1 }}>{alarmWords(alarm, temperature)}</Body>
        </View>
      ))}
      <View style={{ marginVertical: space.m }}>
        <Choices
          label="How far ahead"
          choices={[
            { value: 'week', title: 'week' },
            { value: 'month', title: 'month' },
            { value: 'season', title: 'season' },
          ]}
          value={span}
          onChange={setSpan}
        />
      </View>
      {ahead ? (
        <>
          <AheadCharts
            ahead={ahead}
            before={isTrying ? before : null}
            band={profile.climate.humidityPct}
            {...{ today, days }}
            readings={isTrying ? [] : readings}
          />
          {hasSoil ? (
            <View style={{ gap: space.s, marginVertical: space.s }}>
              <Strong>How the water lies in it now</Strong>
              <SoilSection layers={ahead.course.layers} dampSharePct={tried.dampSharePct} way={tried.way} />
              <Choices
                label="How it is watered"
                choices={WATERING_WAYS.map((value) => ({ value, title: WAY_WORDS[value] }))}
                value={tried.way}
                onChange={(way) => setTried({ ...tried, way })}
              />
            </View>
          ) : null}
          <Numbers ahead={ahead} before={isTrying ? before : null} standing={isTrying ? null : home.state?.air} />
        </>
      ) : (
        <Body>Working it out.</Body>
      )}
      <View style={styles.tryHead}>
        <Heading>Try another way</Heading>
        {isTrying ? <LinkRow links={[{ title: 'As it stands', onPress: () => setTried(standing) }]} /> : null}
      </View>
      <AirSliders
        container={home.container}
        tried={tried}
        floorCm2={floorAreaMm2(home.container) / 100}
        hasSoil={hasSoil}
        onChange={setTried}
      />
      <View style={{ marginTop: space.l }}>
        <Fold title="What each opening contributes">
          <OpeningShares openings={flow.openings} />
        </Fold>
        <Fold title="Holes for the band">
          <HolePlan
            asked={asked}
            maxHoleMm={largestSafeOpeningMm ?? 20}
            openings={schoolOn(profile, 'openings', tenant.schools.openings)}
            onTry={(holes) => setTried({ ...tried, holes })}
          />
        </Fold>
        <Fold title="The other school, on this box">
          <OtherSchool asked={asked} />
        </Fold>
        <Fold title="Set right by readings">
          <Calibration home={home} onChange={load} />
        </Fold>
        <Fold title="What the physics leaves out">
          <View style={{ gap: space.s }}>
            {LEFT_OUT.map((each) => (
              <Body key={each}>{LEFT_OUT_WORDS[each]}</Body>
            ))}
            <Soft>{bandGround(profile)}</Soft>
          </View>
        </Fold>
      </View>
    </Screen>
  );
}

const bandGround = ({ climate }: Asked['profile']) =>
  `The band of ${pct(climate.humidityPct.min)} to ${pct(climate.humidityPct.max)} is ${climate.humidityPct.basis}; change it in a profile of your own.`;

/** The days ahead: from freshly damped for the numbers, and from how it stands now for the chart. */
function useAhead(asked: Asked, air: HomeAir, days: number) {
  const fresh = freshQuestion(asked, 120);
  const startHour = new Date(houseNow()).getHours();
  const now = { ...fresh, ...(air.watering && { layers: air.watering.layers }), days, startHour };
  const wishes = wishesOf(asked.profile);
  return useWorked(JSON.stringify([fresh, now]), (worker) => worker.ahead(fresh, now, wishes));
}

/** What the first probe in its air has said lately: days before now, and %. */
function useReadings(air: HomeAir): (readonly [number, number])[] {
  const [readings, setReadings] = useState<(readonly [number, number])[]>([]);
  const probe = air.probes.find(({ place, latest }) => (place === 'air' || place === 'cool') && latest !== null);
  const id = probe?.id;
  useEffect(() => {
    if (id === undefined) return;
    let isCurrent = true;
    const now = houseNow();
    const query = { from: new Date(now - 30 * DAY_MS).toISOString(), to: new Date(now).toISOString() };
    void call('probeSeries', { params: { id }, query }).then(({ points }) => {
      if (!isCurrent) return;
      setReadings(
        points.flatMap((each) =>
          each.relativeHumidityPct === null
            ? []
            : [[(Date.parse(each.at) - now) / DAY_MS, each.relativeHumidityPct] as const],
        ),
      );
    });
    return () => {
      isCurrent = false;
    };
  }, [id]);
  return readings;
}

type Ahead = NonNullable<ReturnType<typeof useAhead>>;
type StandingAir = NonNullable<Home['state']>['air'] | undefined;

/** The answers in numbers; where another way is tried, beside how it stands. */
function Numbers({ ahead, before, standing }: { ahead: Ahead; before: Ahead | null; standing: StandingAir }) {
  const styles = useStyles();
  // As it stands its air is what the house says of it, over whatever span it is looked at here.
  const stale = STALE_WORDS[standing?.staleAir ?? ahead.forecast.staleAir];
  const rows = [
    { title: 'damped every', of: ({ band }: Ahead) => everyWords(band) },
    { title: 'with', of: ({ forecast }: Ahead) => waterWords(pouredMl(forecast.redampMl)) },
    { title: 'air when fresh', of: ({ forecast }: Ahead) => pct(forecast.steadyRelativeHumidityPct) },
    {
      title: 'changes of air',
      of: ({ forecast }: Ahead) => changesWords(standing?.airChangesPerHour ?? forecast.airChangesPerHour),
    },
    ...(ahead.forecast.dishMlPerDay >= 0.5 || (before?.forecast.dishMlPerDay ?? 0) >= 0.5
      ? [{ title: 'the dish loses', of: ({ forecast }: Ahead) => `${Math.round(7 * forecast.dishMlPerDay)} mL a week` }]
      : []),
  ];
  return (
    <View style={styles.numbers} aria-live="polite">
      {rows.map(({ title, of }) => (
        <View key={title} style={styles.number}>
          <Soft style={{ flex: 1 }}>{title}</Soft>
          {before && of(before) !== of(ahead) ? <Soft style={styles.before}>{of(before)}</Soft> : null}
          <Strong style={styles.after}>{of(ahead)}</Strong>
        </View>
      ))}
      <View style={styles.verdict}>
        <StatusMark status={stale.status} />
        <View style={{ flex: 1 }}>
          <Body>{stale.title}</Body>
          <Soft>{stale.why}</Soft>
        </View>
      </View>
    </View>
  );
}

const everyWords = ({ earliest, latest }: Ahead['band']) =>
  earliest === null ? 'over 4 months' : spanWords(earliest, latest);

const useStyles = makeStyles((theme) => ({
  verdict: { flexDirection: 'row', alignItems: 'center', gap: space.s, paddingTop: space.s },
  numbers: { paddingVertical: space.s },
  number: {
    flexDirection: 'row',
    alignItems: 'baseline',
    gap: space.m,
    paddingVertical: space.xs + space.hair,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
  },
  before: { width: 96, textAlign: 'right', textDecorationLine: 'line-through' },
  after: { width: 108, textAlign: 'right' },
  tryHead: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', marginTop: space.l },
}));
