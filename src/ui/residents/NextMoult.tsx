import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import type { ResidentMoult } from '@/contract/growth';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { Failed } from '../kit/Failed';
import { Fold } from '../kit/Fold';
import { LineChart } from '../charts/LineChart';
import { MoultFan } from '../charts/MoultFan';
import { useTheme } from '../components/useStyles';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import {
  adultWords,
  growthCaption,
  unseenWords,
  moultGrounds,
  moultWords,
  noMoultWords,
  outgrownWords,
  premoultWords,
} from '@/words/moult';
import { useTemperature } from '@/words/temperature';
import { useLength } from '@/words/useLength';

/** When it moults next and how large it will be, and what that rests on. */
export function NextMoult({ resident }: { resident: Resident }) {
  const length = useLength();
  const temperature = useTemperature();
  // The house is loaded anew after every entry: a moult written down moves the next one.
  const { round, homes, care } = useHouse();
  const { answer, problem, again } = useCall(round, () => call('residentMoult', { params: { id: resident.id } }));
  if (problem !== undefined) return <Failed {...{ problem, again }} />;
  // Of a group nobody has told the instars of, there is nothing to forecast from.
  if (!answer || (answer.isGroup && answer.forecast.instar === null)) return null;
  const { forecast, asOf } = answer;
  const profile = care.of(resident);
  const home = homes.find((each) => each.id === resident.homeId);
  const code = home?.code ?? 'its box';
  const unseen = unseenWords(forecast);
  const fitsNow = !home?.state?.grounds.some(
    (ground) => ground.about === 'fit' && ground.status === 'fail' && ground.residentId === resident.id,
  );
  return (
    <View style={{ gap: space.xs, marginTop: space.xl }}>
      <Heading>Next moult</Heading>
      {forecast.next ? (
        <>
          <Strong>{moultWords(forecast.next, asOf)}</Strong>
          <Body>{premoultWords(forecast)}</Body>
          {unseen === null ? null : <Body>{unseen}</Body>}
          {forecast.quietUntil !== null ? (
            <Body>{`Its new skin hardens: left alone until ${dayWords(forecast.quietUntil, asOf)}.`}</Body>
          ) : null}
          <Soft>Moults, those seen and those to come with their windows</Soft>
          <Fan answer={answer} />
          <GrowthChart answer={answer} caption={growthCaption(profile.measure.name, length.unit, code)} />
          {adultWords(forecast, length) !== null ? <Body>{adultWords(forecast, length)}</Body> : null}
          <Body>{outgrownWords(answer, code, fitsNow)}</Body>
          <Fold title="What this rests on">
            <View style={{ gap: space.xs }}>
              {moultGrounds(answer, profile.name.toLowerCase(), temperature).map((line) => (
                <Soft key={line}>{line}</Soft>
              ))}
            </View>
          </Fold>
        </>
      ) : (
        <Soft>{noMoultWords(profile, resident.stage)}</Soft>
      )}
    </View>
  );
}

/** Past moults as steps, and the fan of those to come. */
function Fan({ answer }: { answer: ResidentMoult }) {
  const { asOf, moults, forecast } = answer;
  if (!forecast.next) return null;
  const ahead = [forecast.next, ...forecast.later].slice(0, SHOWN_AHEAD);
  const last = ahead.at(-1);
  return (
    <MoultFan
      label={`Moults: ${moults.length} seen; the ${ahead.length} to come until ${last ? dayWords(last.p90, asOf) : ''}.`}
      today={asOf}
      past={moults.map((each) => each.on)}
      ahead={ahead}
      names={ahead.map((_, index) => (forecast.instar === null ? `+${index + 1}` : `L${forecast.instar + index + 1}`))}
    />
  );
}

/** Moults further off are hardly known. */
const SHOWN_AHEAD = 4;

/** Sizes seen, and those to come with their bounds; the size its home serves as a line. */
function GrowthChart({ answer, caption }: { answer: ResidentMoult; caption: string }) {
  const { theme } = useTheme();
  const length = useLength();
  const { asOf, moults, sizeMm, outgrownMm, forecast } = answer;
  const at = (day: Day) => daysBetween(asOf, day);
  const seen = moults.flatMap((each) => (each.sizeMm === undefined ? [] : [[at(each.on), each.sizeMm] as const]));
  if (sizeMm === null || !forecast.next || forecast.sizeMm.length === 0) return null;
  const windows = [forecast.next, ...forecast.later];
  const shown = Math.min(3, windows.length);
  const now = [0, sizeMm] as const;
  const ahead = (bound: 'p10' | 'median' | 'p90') => [
    now,
    ...windows.slice(0, shown).map((window, index) => {
      // A fast grower is also large early: the outer lines run through the corners of the windows.
      const day = bound === 'p10' ? window.p90 : bound === 'p90' ? window.p10 : window.median;
      return [at(day), forecast.sizeMm[index]?.[bound] ?? sizeMm] as const;
    }),
  ];
  const all = [...seen, ...ahead('p10'), ...ahead('p90')];
  const x = [Math.min(-30, ...seen.map(([day]) => day)), Math.max(...all.map(([day]) => day))] as const;
  const top = Math.max(...all.map(([, size]) => size), outgrownMm !== null && outgrownMm < 2 * sizeMm ? outgrownMm : 0);
  const last = forecast.sizeMm[shown - 1];
  return (
    <>
      <Soft>{caption}</Soft>
      <LineChart
        label={`Growth: ${seen.length} sizes seen, now ${length.long(sizeMm)}; after ${shown} moults ${length.long(Math.round(last?.p10 ?? 0))} to ${length.long(Math.round(last?.p90 ?? 0))}.`}
        height={170}
        x={x}
        y={[0, top * 1.08]}
        xTicks={[x[0], 0, x[1]]}
        xTick={(day) => dayWords(addDays(asOf, Math.round(day)), asOf)}
        yTick={(size) => length.short(size)}
        limit={outgrownMm !== null && outgrownMm <= top ? outgrownMm : undefined}
        lines={[
          { name: `measured, ${length.unit}`, points: [...seen, now], color: theme.colors.ink },
          { name: 'likeliest', points: ahead('median'), color: theme.colors.good, isDashed: true },
          { name: '1 in 10 smaller', points: ahead('p10'), color: theme.colors.accent, width: 1.2 },
          { name: '1 in 10 larger', points: ahead('p90'), color: theme.colors.accent, width: 1.2 },
        ]}
        dots={[...seen, ...ahead('median').slice(1)]}
      />
    </>
  );
}
