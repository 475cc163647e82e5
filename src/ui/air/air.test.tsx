import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { asItStands, freshQuestion, holesOf, triedHome, type TriedAir } from '@/client/homeAir';
import type { Home } from '@/contract/records';
import { materials, profileOf } from '@/contract/testing/profileOf';
import { airFlow } from '@/core/climate/airFlow';
import { evenly } from '@/core/climate/soilLayers';
import { dampedCourse, forecastMoisture } from '@/core/climate/forecast';
import { heatCautions } from '@/core/climate/heat';
import { USUAL_ROOM, wishesOf } from '@/core/climate/homeAir';
import type { Container } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import { LineChart } from '../charts/LineChart';
import { Slider } from '../kit/Slider';
import { HeatFields } from '../homeForm/HeatFields';
import { emptyHome } from '../homeForm/values';
import { renderThemed } from '../testing/themed';
import {
  heatCautionWords,
  holesWords,
  relaxWords,
  roomWords,
  valuesWords,
  wateringReason,
  likelyWords,
  spanWords,
  wateringWords,
} from '@/words/air';
import { careProfile } from '@/contract/profile';
import { climateNumbers, withClimateNumber } from '@/words/profiles';
import { temperatureWords } from '@/words/temperature';
import { AheadCharts } from './AheadCharts';
import { AirSliders } from './AirSliders';
import { OpeningShares } from './OpeningShares';
import { lengthWords } from '@/words/lengths';

const TODAY = '2026-03-14';
const celsius = temperatureWords('C');
const mm = lengthWords('mm');
const profile = profileOf('isopod-temperate');
const container: Container = {
  shape: 'box',
  lengthMm: 280,
  widthMm: 180,
  heightMm: 120,
  lid: 'solid',
  vents: (['left', 'right'] as const).map((side) => ({
    side,
    shape: 'hole',
    count: 6,
    diameterMm: 4,
    centreHeightMm: 90,
  })),
};
const home = { container, substrateDepthMm: 50, litterDepthMm: 15, mixId: null } as Home;
const standing = asItStands(home, profile, 'adult', USUAL_ROOM);
const asked = (tried: TriedAir) => ({
  profile,
  stage: 'adult' as const,
  home,
  tried,
  recipe: [{ material: 'coir' as const, parts: 1 }],
  materials,
});

describe('what is said of water', () => {
  const outlook = {
    dueOn: TODAY,
    waterMl: 43,
    dampWetness: 0.59,
    dampWetnessMin: 0.6,
    by: 'damped' as const,
    since: '2026-03-01',
    way: 'at-end' as const,
  };
  it('is when, how much and where', () => {
    expect(wateringWords(outlook, TODAY)).toEqual({ status: 'watch', title: 'Damp it today: 45 mL at the damp end' });
    expect(wateringWords({ ...outlook, dueOn: '2026-03-20' }, TODAY).title).toBe('Damp it again in 6 days');
    const spread = { ...outlook, dueOn: '2026-03-20', likelyOn: '2026-03-28', lateOn: '2026-04-10' };
    expect(wateringWords(spread, TODAY).title).toBe('Damp it again in 6 to 27 days');
    expect(wateringWords({ ...spread, lateOn: null }, TODAY).title).toBe('Damp it again in 6 days or more');
    expect(likelyWords(spread, TODAY)).toMatch(
      /^Most likely dry .*28 Mar.*, nearly surely by .*10 Apr.*\. Feel the soil first/,
    );
    expect(likelyWords(outlook, TODAY)).toBeNull();
    expect(likelyWords({ ...spread, likelyOn: '2026-03-10' }, TODAY)).toBeNull();
    expect(spanWords(3.2, 3.9)).toBe('3 days');
    expect(wateringWords({ ...outlook, dueOn: '2026-03-10' }, TODAY).status).toBe('fail');
    expect(wateringWords({ ...outlook, dueOn: null }, TODAY).title).toBe('Stays damp for months');
    const dryAir = { humidityPct: 48, hours: 30, minPct: 65 };
    expect(wateringWords({ ...outlook, by: 'dry-air', dryAir }, TODAY).title).toBe(
      'Too dry: 45 mL at the damp end today',
    );
    expect(wateringWords(null, TODAY).title).toBe('Its soil is not kept damp');
    expect(wateringReason(outlook, TODAY)).toBe('Damp end at 59 % of what it holds, limit 60 %; damped 1 Mar.');
  });
  it('and of rooms, holes, wishes and probes', () => {
    const room = { id: 'r', name: 'Boiler Room', air: { ...USUAL_ROOM, temperatureC: 25 }, from: 'set' as const };
    expect(roomWords(room, celsius)).toBe('25 C, 45 %, as set');
    expect(holesWords({ sides: ['left', 'right'], holesPerSide: 1, diameterMm: 3, meshApertureMm: null }, mm)).toBe(
      '1 hole of 3 mm in left and right',
    );
    expect(holesWords({ sides: ['left', 'right'], holesPerSide: 0, diameterMm: 3, meshApertureMm: null }, mm)).toMatch(
      /^No holes/,
    );
    const meshed = { sides: ['left' as const], holesPerSide: 2, diameterMm: 20, meshApertureMm: 0.56 };
    expect(holesWords(meshed, mm)).toBe('2 holes of 20 mm, under mesh of 0.6 mm, in left');
    expect(relaxWords({ wish: 'airChanges', to: 2.34 })).toBe(
      'Be content with 2.3 changes of air an hour, and the rest can be had.',
    );
    expect(relaxWords({ wish: 'redampDays', to: 9.8 })).toMatch(/every 9 days/);
    const values = { temperatureC: 21, relativeHumidityPct: 80.4, massG: null };
    expect(valuesWords(values, temperatureWords('F'))).toBe('69.8 F, 80 %');
    expect(temperatureWords('F').parse('69,8')).toBeCloseTo(21, 6);
  });
});

describe('what is tried', () => {
  it('changes the box and nothing that was not touched', () => {
    expect(triedHome(home, standing).container).toBe(container);
    expect(holesOf(container)).toEqual({ sides: ['left', 'right'], perSide: 6, diameterMm: 4, meshApertureMm: null });
    const tried = {
      ...standing,
      holes: { sides: ['front' as const], perSide: 3, diameterMm: 5, meshApertureMm: null },
      litterMm: 30,
    };
    expect(triedHome(home, tried)).toMatchObject({
      litterDepthMm: 30,
      container: { vents: [{ side: 'front', count: 3, diameterMm: 5 }] },
    });
    const [as, other] = [
      freshQuestion(asked(standing), 30),
      freshQuestion(asked({ ...standing, dampSharePct: 100 }), 30),
    ];
    expect(as.box.dryAreaM2).toBeGreaterThan(0);
    expect(other.box.dryAreaM2).toBe(0);
  });

  it('is followed from now on, damped whenever it wants it', () => {
    const fresh = freshQuestion(asked(standing), 60);
    const forecast = forecastMoisture({ ...fresh, days: 120 }, wishesOf(profile));
    const course = dampedCourse(
      { ...fresh, layers: { damp: evenly(0.62), dry: evenly(0.3) } },
      0.75,
      forecast.dampWetnessMin,
    );
    expect(course.dampWetness).toHaveLength(60 * 24 + 1);
    expect(course.dampings.length).toBeGreaterThan(1);
    expect(Math.min(...course.dampWetness)).toBeGreaterThan(0.59);
    const [first, second] = course.dampings;
    // From freshly damped to the next damping it is as long as the forecast says.
    expect(((second?.hour ?? 0) - (first?.hour ?? 0)) / 24 / (forecast.daysToRedamp ?? NaN)).toBeCloseTo(1, 0);
    renderThemed(
      <AheadCharts
        today="2026-03-14"
        ahead={{ forecast, course, band: { earliest: 10, latest: 30 } }}
        before={null}
        band={profile.climate.humidityPct}
        days={60}
        readings={[[-1, 80]]}
      />,
    );
    expect(screen.getByRole('img', { name: /^Humidity over 60 days: now .*damped again after/ })).toBeTruthy();
    expect(screen.getByRole('img', { name: /^Wetness: damp end now 62 %/ })).toBeTruthy();
    expect(screen.getByText('Dots: readings of its probe.')).toBeTruthy();
  });

  it('is moved by sliders with names, values and keys', () => {
    function Sliders() {
      const [tried, setTried] = useState(standing);
      return (
        <>
          <AirSliders container={container} tried={tried} floorCm2={504} hasSoil onChange={setTried} />
          <output>{JSON.stringify(tried)}</output>
        </>
      );
    }
    renderThemed(<Sliders />);
    const tried = () => JSON.parse(screen.getByRole('status').textContent ?? '') as TriedAir;
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Litter on top' }), { key: 'ArrowRight' });
    expect(tried().litterMm).toBe(20);
    expect(tried().holes).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: 'all round' }));
    expect(tried().holes).toMatchObject({ perSide: 6, sides: ['front', 'back', 'left', 'right'] });
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Holes in each side' }), { key: 'PageDown' });
    expect(tried().holes?.perSide).toBe(1);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Holes in each side' }), { key: 'PageDown' });
    expect(tried().holes?.perSide).toBe(0);
    expect(screen.getByRole('slider', { name: 'Room, warmth' }).getAttribute('aria-valuetext')).toBe('22 C');
  });
});

describe('a slider', () => {
  it('stays within its ends, whatever is pressed', () => {
    function One() {
      const [value, setValue] = useState(9);
      return (
        <Slider label="Days" words={`${value} days`} value={value} min={1} max={10} step={1} onChange={setValue} />
      );
    }
    renderThemed(<One />);
    const slider = screen.getByRole('slider', { name: 'Days' });
    fireEvent.keyDown(slider, { key: 'PageUp' });
    expect(slider.getAttribute('aria-valuenow')).toBe('10');
    fireEvent.keyDown(slider, { key: 'a' });
    expect(slider.getAttribute('aria-valuenow')).toBe('10');
    fireEvent.keyDown(slider, { key: 'ArrowLeft' });
    expect(slider.getAttribute('aria-valuetext')).toBe('9 days');
  });
});

describe('charts', () => {
  it('say what they show to those who do not see them', () => {
    renderThemed(
      <LineChart
        label="Two points."
        height={100}
        x={[0, 1]}
        y={[0, 1]}
        xTick={String}
        yTick={String}
        lines={[
          {
            points: [
              [0, 0],
              [1, 1],
            ],
            name: 'two points',
            color: 'red',
          },
        ]}
      />,
    );
    expect(screen.getByRole('img', { name: 'Two points.' })).toBeTruthy();
  });
  it('give each opening its share, the largest first', () => {
    const { openings } = airFlow({ container, soil: flat(50), temperatureC: 22, warmingK: 0, draughtMS: 0.1 });
    renderThemed(<OpeningShares openings={openings} />);
    const shares = screen.getAllByText(/^\d+ %$/).map((each) => Number.parseInt(each.textContent ?? '', 10));
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(Math.abs(shares.reduce((sum, each) => sum + each, 0) - 100)).toBeLessThanOrEqual(2);
  });
});

describe('heat', () => {
  const mat = { source: 'mat-below' as const, hasThermostat: false, warmingK: 8 };
  it('is cautioned by who lives there and how warm it would be', () => {
    const digs = heatCautions(mat, profileOf('burrowing-tarantula'), 25);
    expect(digs.filter(({ status }) => status === 'fail').map(({ code }) => code)).toEqual([
      'cooks-diggers',
      'no-thermostat',
      'over-band',
    ]);
    const climbs = heatCautions({ ...mat, hasThermostat: true, warmingK: 1 }, profileOf('tree-tarantula'), 22);
    expect(climbs.some(({ status }) => status === 'fail')).toBe(false);
    // Mains near water is said of every source.
    expect(climbs.map(({ code }) => code)).toContain('mains-and-water');
    expect(heatCautions({ ...mat, source: 'lamp' }, undefined, 22).map(({ code }) => code)).not.toContain(
      'cooks-diggers',
    );
    expect(new Set(digs.map((each) => heatCautionWords(each, celsius))).size).toBe(digs.length);
  });

  it('shows its cautions as it is chosen', () => {
    function Form() {
      const { control, setValue } = useForm({ defaultValues: emptyHome('s') });
      return (
        <HeatFields control={control} setValue={setValue} profiles={[profileOf('millipede-tropical')]} roomC={24} />
      );
    }
    renderThemed(<Form />);
    expect(screen.queryByText(/Never under an animal that digs/)).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: 'mat below' }));
    expect(screen.getByText(/Never under an animal that digs/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Warmer than the room by, C'), { target: { value: '9' } });
    expect(screen.getByText(/The warm side would reach 33 C; this kind is kept up to 28 C/)).toBeTruthy();
  });
});

describe('the climate of a profile of one’s own', () => {
  it('is changed number by number, each then resting on its keeper', () => {
    const { climate } = profile;
    const changed = withClimateNumber(climate, 'humidityPct.min', 70);
    expect(changed.humidityPct).toMatchObject({ min: 70, max: climate.humidityPct.max, basis: 'your own setting' });
    expect(withClimateNumber(climate, 'bearsHours', 48).bearsHours).toMatchObject({
      value: 48,
      basis: 'your own setting',
    });
    // Beyond what is practised too: the range that shipped goes with the number that shipped.
    const dry = { ...profile, climate: withClimateNumber(climate, 'dampWetnessMin', 0.02) };
    expect(careProfile.safeParse(dry).error).toBeUndefined();
    for (const { key, value } of climateNumbers(climate)) expect(withClimateNumber(climate, key, value)).toBe(climate);
  });
});
