import { router } from 'expo-router';
import { View } from 'react-native';
import { fitOf, sectionOf } from '@/client/fitting';
import { useHouse } from '@/client/house';
import type { Home, Resident } from '@/contract/records';
import { ListRow } from '../kit/ListRow';
import { STATUS_WORD, StatusMark } from '../components/StatusMark';
import { Soft, Strong } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { StopPlace } from '../round/StopPlace';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { groundWords } from '@/words/homeState';
import { calledWords } from '@/words/residents';
import { useTemperature } from '@/words/temperature';
import { Cautions } from './Cautions';

/** How it lives now: its box, what speaks against that, and what is to be done today. */
export function NowTab({ resident, home, today }: { resident: Resident; home: Home; today: string }) {
  const { round, care } = useHouse();
  const temperature = useTemperature();
  const fit = fitOf(care, home, resident);
  const stop = round?.stops.find(({ residentId }) => residentId === resident.id);
  const { state } = home;
  const grounds = state?.grounds ?? [];
  return (
    <View style={{ gap: space.m, marginTop: space.m }}>
      <MeasuredSection
        plan={sectionOf(care, home, resident)}
        fit={fit}
        subject={`${home.code}, ${calledWords(resident)}`}
      />
      <View>
        <ListRow
          label={`Home ${home.code}: ${STATUS_WORD[state?.verdict ?? fit.verdict]}`}
          onPress={() => router.push(`/homes/${home.id}`)}
          left={<StatusMark status={state?.verdict ?? fit.verdict} />}
          right={<Soft>{home.code}</Soft>}
        >
          <Strong>{grounds[0] ? groundWords(grounds[0], today, temperature) : 'Its box fits'}</Strong>
          {grounds.slice(1).map((ground, index) => (
            <Soft key={index}>{groundWords(ground, today, temperature)}</Soft>
          ))}
        </ListRow>
        <ListRow
          label={`Air and water of ${home.code}`}
          onPress={() => router.push(`/homes/${home.id}/air`)}
          right={<Soft>{airWords(home, today)}</Soft>}
        >
          <Strong>Air and water</Strong>
        </ListRow>
      </View>
      {stop && stop.jobs.length > 0 ? (
        <StopPlace id={`now ${resident.id}`} stop={stop} today={today} isChosen={false} />
      ) : null}
      <Cautions who={resident} />
      <Soft>{`measured ${dayWords(resident.measuredOn, today)}, here since ${dayWords(resident.takenInOn, today)}`}</Soft>
    </View>
  );
}

/** "71 %, damp again 4 Dec". */
function airWords({ state }: Home, today: string): string {
  const air = state?.air ? `${Math.round(state.air.humidityPct)} %` : undefined;
  const damp = state?.water?.dueOn ? `damp again ${dayWords(state.water.dueOn, today)}` : undefined;
  return [air, damp].filter((word) => word !== undefined).join(', ') || 'look';
}
