import { router, useLocalSearchParams } from 'expo-router';
import { useRef, useState } from 'react';
import { Image, View } from 'react-native';
import { companyIn } from '@/client/company';
import { fitOf, sectionOf, soilEntry, withSoil } from '@/client/fitting';
import { planOf } from '@/client/planOf';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import type { HomeGround } from '@/core/house/homeState';
import { worse, type Status } from '@/core/housing/fit';
import { soilLimitMm } from '@/core/housing/container';
import { flat, type Soil } from '@/core/housing/soil';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD, useStatusInk } from '../components/StatusMark';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { Cautions } from '../residents/Cautions';
import { exportSvg } from '../drawings/exportSvg';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { PlanDrawing } from '../drawings/PlanDrawing';
import { CheckList } from '../housing/CheckList';
import { CompanyChecks } from '../housing/CompanyChecks';
import { DepthEditor } from '../housing/DepthEditor';
import { MoreLikeIt } from '../housing/MoreLikeIt';
import { HomeHead } from '../housing/HomeHead';
import { SoilShape } from '../housing/SoilShape';
import { useAskedOnce } from '../components/useAskedOnce';
import { useConfirm } from '../kit/useConfirm';
import { QuietPanel, quietOf } from '../residents/QuietPanel';
import { space } from '../theme/tokens';
import { groundWords } from '@/words/homeState';
import { calledWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';

/** One box: its section to scale, its verdicts, and another filling to try. */
export function HomeScreen({ id }: { id: string }) {
  const { part } = useLocalSearchParams<{ part?: string }>();
  const home = useHouse((house) => house.homes.find((each) => each.id === id));
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  if (!home) {
    return (
      <Screen>
        <PaneHeader back="/homes" title="Wall" />
        <Body>There is no box here. It may have been an old link.</Body>
      </Screen>
    );
  }
  // What is being tried belongs to one box as it was last saved: another of either starts afresh.
  return (
    <HomePane
      key={JSON.stringify([home.id, home.substrateDepthMm, home.soil, home.container])}
      home={home}
      isRules={part === 'rules'}
    />
  );
}

function HomePane({ home, isRules }: { home: Home; isRules: boolean }) {
  const length = useLength();
  const { write, show } = useLog();
  const { care, residents, load } = useHouse();
  const tenants = residents.filter((each) => each.homeId === home.id);
  const [tried, setTried] = useState(home);
  const [view, setView] = useState<'side' | 'above'>('side');
  const [isCopied, setCopied] = useState(false);
  const picture = useRef<View>(null);
  const fits = tenants.map((resident) => ({ resident, fit: fitOf(care, tried, resident) }));
  // The one with most against it is drawn and filled for.
  const main = fits.reduce<(typeof fits)[number] | undefined>(
    (worst, each) => (!worst || worse(worst.fit.verdict, each.fit.verdict) !== worst.fit.verdict ? each : worst),
    undefined,
  );
  const fit = main?.fit ?? null;
  const isTrying = tried !== home;
  const wanted = isTrying ? tried.substrateDepthMm : (fit?.substrateDepthMm.recommended ?? home.substrateDepthMm);
  const isChanged = isTrying ? !sameSoil(tried, home) : wanted !== home.substrateDepthMm;
  const trySoil = (soil: number | Soil) => setTried((before) => ({ ...home, ...withSoil(before, soil) }));
  const round = useHouse((house) => house.round);
  const isQuiet = tenants.some((each) => quietOf(round, each.id) !== null);
  const { isAsked, mayDo } = useAskedOnce(isQuiet, `soil at ${wanted}`);
  const save = () => {
    if (!mayDo()) return;
    void write(
      soilEntry(home, isTrying ? (tried.soil ?? tried.substrateDepthMm) : wanted),
      `${home.code}: soil set to ${length.long(wanted)}.`,
    );
  };
  const saveDrawing = () => {
    const svg = (picture.current as unknown as HTMLElement | null)?.querySelector('svg');
    if (svg) exportSvg(svg, `${home.code}-${view}.svg`);
  };
  const { ask, dialog } = useConfirm();
  const remove = async () => {
    try {
      await call('removeHome', { params: { id: home.id } });
      await load();
      show({ text: `${home.code} is taken away.` });
      router.replace('/homes');
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  // A nest of chambers is not filled.
  const hasSoil = home.nest === undefined;
  const first = tenants[0];
  const links = [
    { title: 'Build sheet', onPress: () => router.push(`/build?homes=${home.id}`) },
    ...(first ? [{ title: 'Compare', onPress: () => router.push(`/residents/${first.id}/compare`) }] : []),
    { title: 'Label', onPress: () => router.push(`/labels?home=${home.id}`) },
    { title: 'Change the box', onPress: () => router.push(`/homes/${home.id}/edit`) },
    { title: 'More like it', onPress: () => setCopied(true) },
    { title: 'Save drawing', onPress: saveDrawing },
    ...(first
      ? []
      : [
          {
            title: 'Take the box away',
            onPress: () =>
              ask({
                title: `Take ${home.code} away?`,
                text: 'It goes for good. A box of which something is written down stays in the records.',
                act: 'Take it away',
                run: remove,
              }),
          },
        ]),
  ];
  return (
    <Screen
      actions={
        <>
          {isChanged ? (
            <Button
              grow
              rank={isQuiet ? 'second' : 'main'}
              title={`Set depth to ${length.long(wanted)}${isAsked ? ' all the same' : ''}`}
              onPress={save}
            />
          ) : null}
          {first ? (
            <Button
              grow
              rank="second"
              title="Other boxes"
              onPress={() => router.push(`/residents/${first.id}/boxes`)}
            />
          ) : (
            <Button
              grow
              rank="second"
              title="Take an animal in here"
              onPress={() => router.push(`/take-in?home=${home.id}`)}
            />
          )}
        </>
      }
    >
      {dialog}
      <HomeHead home={home} part={isRules ? 'rules' : 'box'} />
      <View style={{ height: space.m }} />
      {isRules ? (
        <>
          <Against grounds={home.state?.grounds ?? []} />
          <CompanyChecks answer={companyIn(care, tenants)} />
          {fits.map(({ resident, fit: each }) => (
            <View key={resident.id}>
              {tenants.length > 1 ? <Heading style={{ marginTop: space.l }}>{calledWords(resident)}</Heading> : null}
              <CheckList
                resident={resident}
                fit={each}
                schoolName={(school) => care.of(resident).schools.find((one) => one.id === school)?.name ?? school}
              />
            </View>
          ))}
          {first ? null : <Body>Nobody lives here. Whom it would serve shows when you take an animal in.</Body>}
        </>
      ) : (
        <>
          <Choices
            label="View"
            choices={[
              { value: 'side', title: 'side' },
              { value: 'above', title: 'from above' },
            ]}
            value={view}
            onChange={setView}
          />
          <View ref={picture}>
            {view === 'side' ? (
              <MeasuredSection
                plan={sectionOf(care, tried, main?.resident)}
                fit={fit}
                subject={home.code}
                {...(hasSoil && { onDepth: trySoil })}
              />
            ) : (
              <PlanDrawing plan={planOf(care, tried, main?.resident)} subject={home.code} />
            )}
          </View>
          {fit && isTrying ? (
            <Verdict
              status={fit.verdict}
              word={STATUS_WORD[fit.verdict]}
              note="with the filling you try; not saved yet"
            />
          ) : null}
          {hasSoil ? (
            <>
              <DepthEditor
                depthMm={tried.substrateDepthMm}
                heightMm={soilLimitMm(home.container)}
                fit={fit}
                onChange={trySoil}
              />
              <SoilShape
                soil={tried.soil ?? flat(tried.substrateDepthMm)}
                heightMm={soilLimitMm(home.container)}
                onChange={trySoil}
              />
            </>
          ) : null}
          <LinkRow links={links} />
          {isCopied ? <MoreLikeIt home={home} onDone={() => setCopied(false)} /> : null}
          {tenants.map((resident) => (
            <View key={resident.id}>
              <Cautions who={resident} before="soil" />
              <QuietPanel residentId={resident.id} more="Its soil and its box wait as well, unless it is in danger." />
            </View>
          ))}
          {home.photoVersion !== null ? (
            <Image
              source={{ uri: `/api/homes/${home.id}/photo?version=${home.photoVersion}` }}
              accessibilityLabel={`Photo of ${home.code}`}
              style={{ width: '100%', aspectRatio: 4 / 3, marginTop: space.l }}
              resizeMode="contain"
            />
          ) : null}
        </>
      )}
    </Screen>
  );
}

const sameSoil = (a: Home, b: Home) =>
  a.substrateDepthMm === b.substrateDepthMm && JSON.stringify(a.soil) === JSON.stringify(b.soil);

/** What speaks against it beside its rules, which are listed below with their numbers. */
function Against({ grounds }: { grounds: readonly HomeGround[] }) {
  const temperature = useTemperature();
  const today = useHouse((house) => house.round?.on ?? '');
  return grounds
    .filter(({ about }) => about !== 'fit' && about !== 'company')
    .map((ground, index) => (
      <View key={`${ground.about} ${index}`} style={{ flexDirection: 'row', gap: space.s, paddingTop: space.xs }}>
        <StatusMark status={ground.status} />
        <Body style={{ flex: 1 }}>{groundWords(ground, today, temperature)}</Body>
      </View>
    ));
}

function Verdict({ status, word, note }: { status: Status; word: string; note: string }) {
  const ink = useStatusInk(status);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s, paddingTop: space.s }} aria-live="polite">
      <StatusMark status={status} />
      <Strong style={{ color: ink }}>{word}</Strong>
      <Soft>{note}</Soft>
    </View>
  );
}
