import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { fitOf, sectionOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { profileOf } from '@/contract/profiles';
import type { Home, Resident } from '@/contract/records';
import { innerVolumeL } from '@/core/housing/container';
import type { FitAnswer } from '@/core/housing/fit';
import { Button } from '../components/Button';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { StatusMark, STATUS_WORD, useStatusInk } from '../components/StatusMark';
import { Body, Name, Soft, Strong, Title } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { CheckList } from '../housing/CheckList';
import { DepthEditor } from '../housing/DepthEditor';
import { space } from '../theme/tokens';
import { containerWords, lifeWords } from '../words/residents';
import { useLength } from '../words/useLength';

/** One box: its section to scale, its verdicts, and another depth to try. */
export function HomeScreen({ id }: { id: string }) {
  const home = useHouse((house) => house.homes.find((each) => each.id === id));
  const resident = useHouse((house) => house.residents.find((each) => each.homeId === id));
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  if (!home) {
    return (
      <Screen>
        <PaneHeader back="/homes" title="Homes" />
        <Body>There is no box here. It may have been an old link.</Body>
      </Screen>
    );
  }
  // A depth being tried belongs to one box and one saved depth: another of either starts afresh.
  return <HomePane key={`${home.id} ${home.substrateDepthMm}`} home={home} resident={resident} />;
}

function HomePane({ home, resident }: { home: Home; resident: Resident | undefined }) {
  const length = useLength();
  const write = useLog((log) => log.write);
  const shelf = useHouse((house) => house.shelves.find((each) => each.id === home.shelfId));
  const [triedMm, setTriedMm] = useState(home.substrateDepthMm);
  const fit = resident ? fitOf(home, resident, triedMm) : null;
  const isTrying = triedMm !== home.substrateDepthMm;
  const wanted = isTrying ? triedMm : (fit?.substrateDepthMm.recommended ?? home.substrateDepthMm);
  const save = () =>
    void write(
      { kind: 'soil-set', homeId: home.id, substrateDepthMm: wanted },
      `${home.code}: soil set to ${length.long(wanted)}.`,
    );
  const actions = (
    <>
      {wanted !== home.substrateDepthMm ? (
        <Button grow title={`Set depth to ${length.long(wanted)}`} onPress={save} />
      ) : null}
      {resident ? (
        <Button grow rank="second" title="Other boxes" onPress={() => router.push(`/residents/${resident.id}/boxes`)} />
      ) : (
        <Button
          grow
          rank="second"
          title="Take an animal in here"
          onPress={() => router.push(`/take-in?home=${home.id}`)}
        />
      )}
    </>
  );
  return (
    <Screen actions={actions}>
      <PaneHeader back="/homes" title="Homes" />
      <Soft>{`${shelf?.name ?? ''}, ${home.code}`}</Soft>
      {resident ? (
        <Name style={{ fontSize: 26, lineHeight: 32 }}>{resident.scientificName}</Name>
      ) : (
        <Title>{`${home.code}, free`}</Title>
      )}
      {resident ? (
        <Soft>{[resident.called, lifeWords(resident, length)].filter((word) => word !== null).join(', ')}</Soft>
      ) : null}
      <Soft>{`${containerWords(home, length)}, ${innerVolumeL(home.container).toFixed(1)} L, lid ${home.container.lid}`}</Soft>
      <MeasuredSection plan={sectionOf(home, resident, triedMm)} fit={fit} subject={home.code} />
      {fit ? <Verdict fit={fit} isTrying={isTrying} /> : null}
      <DepthEditor depthMm={triedMm} heightMm={home.container.heightMm} fit={fit} onChange={setTriedMm} />
      {fit && resident ? (
        <CheckList
          checks={fit.checks}
          schoolName={(school) =>
            profileOf(resident.profile).schools.find((each) => each.id === school)?.name ?? school
          }
        />
      ) : (
        <Body>Nobody lives here. Whom it would serve shows when you take an animal in.</Body>
      )}
    </Screen>
  );
}

function Verdict({ fit, isTrying }: { fit: FitAnswer; isTrying: boolean }) {
  const ink = useStatusInk(fit.verdict);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s, paddingTop: space.s }} aria-live="polite">
      <StatusMark status={fit.verdict} />
      <Strong style={{ color: ink }}>{STATUS_WORD[fit.verdict]}</Strong>
      <Soft>{isTrying ? 'with the depth you try; not saved yet' : 'as it stands'}</Soft>
    </View>
  );
}
