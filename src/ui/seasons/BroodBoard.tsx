import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { Brood, MothFlight } from '@/contract/broods';
import { Body, Heading, Name, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { bareWords, chainWords, expectedWords, layersWords, meetingWords, surplusWords } from '@/words/broods';
import { useTemperature } from '@/words/temperature';
import { BoardRow } from './BoardRow';
import { HatchWeeks } from './HatchWeeks';
import { Waiting } from '../kit/Waiting';

/** The board looks this far ahead at least, and at most. weeks */
const SPAN = { least: 12, most: 40 };

/** All eggs by the week in which they hatch, one under another; and moths that are to meet. */
export function BroodBoard() {
  const round = useHouse((house) => house.round);
  const { answer, problem, again } = useCall(round, () => call('broods', {}));
  if (problem !== undefined || !answer) return <Waiting {...{ problem, again }}>Counting…</Waiting>;
  const { broods, layers, flights, asOf } = answer;
  const inOrder = [...broods].sort((a, b) => (a.forecast?.from ?? '9').localeCompare(b.forecast?.from ?? '9'));
  const longest = Math.max(0, ...broods.map((brood) => brood.forecast?.weeks.length ?? 0));
  const span = Math.min(SPAN.most, Math.max(SPAN.least, longest));
  const unplanned = inOrder.filter(({ forecast, surplus }) => forecast && !surplus).length;
  return (
    <View style={{ gap: space.s, marginTop: space.m }}>
      <Heading>Eggs, by the week they hatch</Heading>
      {broods.length === 0 ? <Body>There are no eggs in the house.</Body> : null}
      {unplanned > 0 ? (
        <Body>{`${unplanned === 1 ? 'One batch has' : `${unplanned} batches have`} no plan yet for what hatches. Plan before it does: keep, pass on, freeze; never release.`}</Body>
      ) : null}
      {inOrder.map((brood) => (
        <BroodRow key={brood.residentId} brood={brood} asOf={asOf} span={span} />
      ))}
      {layers.length > 0 ? <Heading style={{ marginTop: space.l }}>Who lays</Heading> : null}
      {layers.map((layer) => (
        <BoardRow
          key={layer.residentId}
          residentId={layer.residentId}
          onPress={() => router.push(`/residents/${layer.residentId}?tab=growth`)}
        >
          <Body>{layersWords(layer, asOf)}</Body>
        </BoardRow>
      ))}
      {flights.length > 0 ? <Heading style={{ marginTop: space.l }}>Moths</Heading> : null}
      {flights.map((flight) => (
        <Flight key={flight.scientificName} flight={flight} asOf={asOf} />
      ))}
    </View>
  );
}

function BroodRow({ brood, asOf, span }: { brood: Brood; asOf: string; span: number }) {
  const { forecast, problem, surplus, residentId, bareUntil } = brood;
  return (
    <BoardRow residentId={residentId} onPress={() => router.push(`/residents/${residentId}?tab=growth`)}>
      {forecast ? (
        <>
          <HatchWeeks brood={brood} asOf={asOf} span={span} />
          <Soft>{`${expectedWords(brood)}${forecast.isOverdue ? '; most batches of this age have begun' : ''}`}</Soft>
        </>
      ) : (
        <Body>{problem}</Body>
      )}
      {bareUntil === null ? null : <Body>{bareWords(bareUntil, asOf)}</Body>}
      {surplus ? <Soft>{surplusWords(surplus)}</Soft> : forecast ? <Soft>No plan yet for what hatches.</Soft> : null}
    </BoardRow>
  );
}

/** Cocoons of one species, and when to pair. */
function Flight({ flight, asOf }: { flight: MothFlight; asOf: string }) {
  const temperature = useTemperature();
  const { out } = flight;
  return (
    <View style={{ gap: space.xs, paddingVertical: space.m }}>
      <Name>{flight.scientificName}</Name>
      {out.female > 0 || out.male > 0 ? (
        <Strong>
          {`Out now: ${out.female} female, ${out.male} male${out.female > 0 && out.male > 0 ? '. Pair them tonight' : ''}`}
        </Strong>
      ) : null}
      {chainWords(flight, asOf, temperature).map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {meetingWords(flight, asOf, temperature).map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      <Soft>{`Kept at ${temperature.long(flight.temperatureC)}. Nothing to hold on to, and wings stay crippled: something rough in every box.`}</Soft>
    </View>
  );
}
