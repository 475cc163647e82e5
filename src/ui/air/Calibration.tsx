import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Home } from '@/contract/records';
import { Button } from '../kit/Button';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft } from '../components/Words';
import { space } from '../theme/tokens';

const KEPT_WORDS = {
  'too-few': 'Too few readings since it was last damped: at least eight of humidity, or three weighings.',
  'too-short': 'The readings cover less than a day. Ask again when they cover more.',
  'no-better': 'The readings fit a box of its kind as well as anything else: nothing to set right.',
} as const;

type Reply = Awaited<ReturnType<typeof call<'calibrateHome'>>>;

/** Sets a box right by its own readings, and says how far off the forecast was before and after. */
export function Calibration({ home, onChange }: { home: Home; onChange: () => Promise<void> }) {
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const [found, setFound] = useState<Reply | null>(null);
  const [isBusy, setBusy] = useState(false);
  const attempt = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
      await load();
      await onChange();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
    setBusy(false);
  };
  const setRight = () => void attempt(async () => setFound(await call('calibrateHome', { params: { id: home.id } })));
  const forget = () =>
    void attempt(async () => {
      await call('resetCalibration', { params: { id: home.id } });
      setFound(null);
      show({ text: `${home.code}: back to a box of its kind.` });
    });
  return (
    <View style={{ gap: space.s }}>
      <Soft>
        Two things differ from box to box: how much of the draught reaches it, and how readily its surface dries. Its
        own humidity readings and weighings since it was last damped tell them.
      </Soft>
      {home.factors ? <Body>{factorWords(home.factors)}</Body> : <Body>Reckoned as a box of its kind.</Body>}
      {found ? (
        <View aria-live="polite">
          {resultWords(found).map((each) => (
            <Body key={each}>{each}</Body>
          ))}
        </View>
      ) : null}
      <Fold title="Weigh it for ten days">
        {EXPERIMENT.map((step, index) => (
          <Body key={step}>{`${index + 1}. ${step}`}</Body>
        ))}
      </Fold>
      <Button rank="second" disabled={isBusy} title="Set right by its readings" onPress={setRight} />
      {home.factors ? <LinkRow links={[{ title: 'Forget what they taught', onPress: forget }]} /> : null}
    </View>
  );
}

/** What a keeper can do to know one box: the balance of its water, by the scale of a kitchen. */
const EXPERIMENT = [
  'Damp it as always, wipe it dry outside, and write the damping down.',
  'Weigh it at once, lid on, to the gram: “Read by hand”, weight. A fall of 10 g is 10 mL of water gone.',
  'Weigh it every other day at the same hour, six times in all. Put nothing in and take nothing out meanwhile; a dish is left dry.',
  'Then tap below. It says how far off the forecast was, and the days to the next damping come closer together.',
];

const times = (factor: number) =>
  factor >= 1 ? `${factor.toFixed(1)} times the` : `${Math.round(100 * factor)} % of the`;

/** "a factor of 1.3": from the tenth to the ninetieth of a hundred, on either side. */
const within = (deviation: number) => `a factor of ${Math.exp(1.28 * deviation).toFixed(1)}`;

function factorWords({ draught, surface, spread }: NonNullable<Home['factors']>): string {
  const words = [`${times(draught)} usual draught reaches it`];
  if (surface !== 1) words.push(`it dries at ${times(surface)} usual rate`);
  const sure = spread
    ? ` In eight of ten cases that is right within ${within(spread.draught)} and ${within(spread.surface)}.`
    : '';
  return `By its readings: ${words.join('; ')}.${sure}`;
}

function resultWords({ calibration, readings, weighings }: Reply): string[] {
  const { kept, humidityErrorPct, massErrorG } = calibration;
  if (kept !== null) return [KEPT_WORDS[kept]];
  return [
    ...(humidityErrorPct
      ? [
          `${readings} readings: off by ${humidityErrorPct.before.toFixed(1)} points before, ${humidityErrorPct.after.toFixed(1)} now.`,
        ]
      : []),
    ...(massErrorG
      ? [
          `${weighings} weighings: off by ${massErrorG.before.toFixed(1)} g before, ${massErrorG.after.toFixed(1)} g now.`,
        ]
      : []),
  ];
}
