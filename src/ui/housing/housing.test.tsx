import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { usePreferences } from '@/client/preferences';
import { materials, profileOf } from '@/contract/testing/profileOf';
import type { Container } from '@/core/housing/container';
import { fit } from '@/core/housing/fit';
import { sectionPlan } from '@/core/housing/section';
import { scaleOf } from '../drawings/scale';
import { Section } from '../drawings/Section';
import { drawnAs, SHAPES } from '../drawings/silhouettes';
import { shippedProfiles } from '@/contract/shipped';
import type { Home } from '@/contract/records';
import { buildHome } from '@/core/substrate/buildSheet';
import { fieldFor, readHome } from '../homeForm/reading';
import { valuesOf } from '../homeForm/values';
import { renderThemed } from '../testing/themed';
import { stepWords } from '@/words/build';
import { lengthWords } from '@/words/lengths';
import { ruleWords, withNumber } from '@/words/profiles';
import { CheckList } from './CheckList';
import { DepthEditor } from './DepthEditor';

// The router comes as modules that these tests cannot load; nothing here leads anywhere.
jest.mock('expo-router', () => ({ router: { push: () => undefined } }));

const container: Container = { shape: 'box', lengthMm: 310, widthMm: 240, heightMm: 296, lid: 'solid', vents: [] };
const fitAt = (substrateDepthMm: number) =>
  fit(profileOf('ground-tarantula'), { stage: 'adult', legSpanMm: 118, container, substrateDepthMm });

describe('the verdicts', () => {
  it('stand worst first, and open to their grounds', () => {
    renderThemed(<CheckList fit={fitAt(98)} schoolName={(id) => id} />);
    const rows = screen.getAllByRole('button');
    expect(rows[0]?.getAttribute('aria-label')).toBe('Does not fit: Too far to fall 198 / 177 mm. Grounds');
    expect(screen.queryByText(/the abdomen can burst/)).toBeNull();
    fireEvent.click(rows[0] as HTMLElement);
    expect(screen.getByText(/the abdomen can burst/)).toBeTruthy();
    expect(screen.getByText('Limit here: at most 177 mm, from leg span 118 mm.')).toBeTruthy();
    expect(screen.getByText('Rests on: common practice. Rule: gap.')).toBeTruthy();
  });

  it('are written in the unit of the keeper', () => {
    usePreferences.getState().set({ lengthUnit: 'cm' });
    const { unmount } = renderThemed(<CheckList fit={fitAt(98)} schoolName={(id) => id} />);
    expect(screen.getByText('19.8 / 17.7 cm')).toBeTruthy();
    unmount();
    usePreferences.getState().set({ lengthUnit: 'mm' });
  });
});

describe('trying another depth', () => {
  function Editor() {
    const [depth, setDepth] = useState(98);
    return (
      <>
        <DepthEditor depthMm={depth} heightMm={296} fit={fitAt(depth)} onChange={setDepth} />
        <output>{depth}</output>
      </>
    );
  }
  const depth = () => screen.getByRole('status').textContent;
  const field = () => screen.getByLabelText('Soil depth, mm') as HTMLInputElement;

  it('goes by steps and by number, and keeps the last good one', () => {
    renderThemed(<Editor />);
    fireEvent.click(screen.getByRole('button', { name: 'More soil' }));
    expect(depth()).toBe('103');
    fireEvent.change(field(), { target: { value: '12 cm' } });
    expect(depth()).toBe('120');
    fireEvent.change(field(), { target: { value: '4 kg' } });
    expect(screen.getByText(/“kg” is not a length unit/)).toBeTruthy();
    expect(depth()).toBe('120');
    fireEvent.change(field(), { target: { value: '400' } });
    expect(screen.getByText(/At most 296 mm/)).toBeTruthy();
    fireEvent.blur(field());
    expect(field().value).toBe('120');
    fireEvent.change(field(), { target: { value: '0' } });
    expect(depth()).toBe('0');
  });
});

describe('the silhouettes', () => {
  it('are there for every kind at every stage, their feet on the ground', () => {
    for (const { silhouette, stages } of shippedProfiles) {
      for (const stage of stages) {
        const drawn = drawnAs(silhouette, stage);
        expect(drawn === 'tarantula' || SHAPES[drawn].length >= 2).toBe(true);
      }
    }
    expect(drawnAs('moth', 'larva')).toBe('caterpillar');
    expect(drawnAs('moth', 'adult')).toBe('moth');
  });
});

describe('the words of a build sheet', () => {
  const length = lengthWords('mm');
  const { steps } = buildHome(
    profileOf('isopod-temperate'),
    {
      stage: 'adult',
      headCount: 30,
      container: { ...container, coveredSides: ['left'] },
      substrateDepthMm: 50,
      soil: { shape: 'slope', frontMm: 60, backMm: 40 },
      recipe: [
        { material: 'coir', parts: 3 },
        { material: 'lime', parts: 1 },
      ],
      wetnessFrom: 0.9,
    },
    materials,
  );
  const words = steps.map((step) => stepWords(step, length, 'E1'));
  it('say what to do, how much, and what is left out', () => {
    expect(words.every(({ title }) => title.length > 5 && !title.includes('undefined'))).toBe(true);
    expect(words[0]?.detail).toContain('covered in the stack, so left out: left');
    expect(words.map(({ title }) => title)).toContain('Fill 3.7 L, sloped from 60 mm at the damp end to 40 mm');
    expect(words.some(({ title }) => /^Wring or dry out/.test(title))).toBe(true);
  });
});

describe('a rule in words', () => {
  const rule = profileOf('ground-tarantula').fit[0];
  if (!rule) throw new Error('The profile has no rules.');
  it('names its limits, and is its keeper’s own once a number is changed', () => {
    expect(ruleWords(rule)).toBe('at least 2 x leg span, to be watched from 1.8 x leg span');
    expect(withNumber(rule, 'min.times', 2)).toBe(rule);
    const own = withNumber(rule, 'min.times', 2.5);
    expect(own).toMatchObject({ min: { of: 'legSpanMm', times: 2.5 }, basis: 'your own setting' });
  });
});

describe('the form of a box', () => {
  const length = lengthWords('mm');
  it('shows a box as it stands, and reads it back the same', () => {
    const home: Home = {
      id: '1',
      code: 'D4',
      shelfId: '2',
      place: 1,
      container: {
        shape: 'box',
        lengthMm: 300,
        widthMm: 200,
        heightMm: 250,
        topLengthMm: 320,
        topWidthMm: 220,
        lid: 'mesh',
        opens: 'top',
        walls: 'plastic',
        coveredSides: ['back'],
        vents: [
          { side: 'left', shape: 'hole', count: 4, diameterMm: 3, centreHeightMm: 200 },
          { side: 'right', shape: 'hole', count: 4, diameterMm: 3, centreHeightMm: 200 },
          {
            side: 'front',
            shape: 'panel',
            count: 1,
            widthMm: 80,
            heightMm: 40,
            centreHeightMm: 180,
            meshApertureMm: 0.5,
            meshOpenFraction: 0.4,
          },
        ],
      },
      substrateDepthMm: 40,
      furniture: [{ kind: 'bottle', count: 1, stopped: true }],
      litterDepthMm: 12,
      nest: {
        chambers: [{ lengthMm: 60, widthMm: 40, heightMm: 8 }],
        tubeBoreMm: 5,
        outworld: { lengthMm: 90, widthMm: 80, heightMm: 70 },
      },
      heat: { source: 'mat-on-side', hasThermostat: true, warmingK: 2.5 },
      dishAreaCm2: 40,
      mixId: 'coir',
      weightLimitKg: 4.5,
      quarantineSince: null,
      photoVersion: null,
      residentIds: [],
    };
    const values = valuesOf(home, length);
    expect(values.vents).toHaveLength(2);
    expect(readHome(values, length)).toEqual({
      container: home.container,
      furniture: home.furniture,
      litterDepthMm: 12,
      nest: home.nest,
      heat: home.heat,
      dishAreaCm2: 40,
      mixId: 'coir',
      weightLimitKg: 4.5,
    });
    // A warming of 2.5 K is 4.5 degrees Fahrenheit.
    expect(valuesOf(home, length, 'F').warming).toBe('4.5');
    expect(readHome(valuesOf(home, length, 'F'), length, 'F')?.heat?.warmingK).toBeCloseTo(2.5, 9);
    expect(fieldFor('heat.warmingK', values)).toBe('warming');
    // Group 0 stands for two vents: the third of the request is the second group.
    expect(fieldFor('container.vents.1.count', values)).toBe('vents.0.count');
    expect(fieldFor('container.vents.2.heightMm', values)).toBe('vents.1.tall');
    expect(fieldFor('container.topLengthMm', values)).toBe('topLength');
  });
});

describe('the drawing', () => {
  const length = lengthWords('mm');
  const draw = (depthMm: number) => {
    const plan = sectionPlan(
      { container, substrateDepthMm: depthMm },
      { stage: 'adult', silhouette: 'tarantula', sizeMm: 118, lives: 'ground', dampSharePct: 40 },
    );
    return renderThemed(<Section plan={plan} fit={fitAt(depthMm)} length={length} scale={scaleOf(plan, 390)} />);
  };

  it('is true to scale: one factor for the box and the soil', () => {
    const { container: page } = draw(98);
    const corners = (path: Element | undefined) =>
      [...(path?.getAttribute('d') ?? '').matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);
    const areas = Array.from(page.querySelectorAll('path')).filter((path) => /Z$/.test(path.getAttribute('d') ?? ''));
    const [air, soil] = areas.map(corners) as [number[][], number[][]];
    const across = (points: number[][], axis: 0 | 1) =>
      Math.max(...points.map((point) => point[axis] ?? 0)) - Math.min(...points.map((point) => point[axis] ?? 0));
    const pxPerMm = across(soil, 0) / 310;
    expect(across(air, 1)).toBeCloseTo(296 * pxPerMm, 3);
    expect(across(soil, 1)).toBeCloseTo(98 * pxPerMm, 3);
    expect(screen.getByText('100 mm')).toBeTruthy();
  });

  it('numbers what does not pass as the list of verdicts does', () => {
    draw(98);
    renderThemed(<CheckList fit={fitAt(98)} schoolName={(id) => id} />);
    // The gap fails, still air is to be watched: each in the drawing and in the list.
    expect(screen.getAllByText('1')).toHaveLength(2);
    expect(screen.getAllByText('2')).toHaveLength(2);
  });

  it('marks the failing gap and the depth that mends it, and neither once it is mended', () => {
    const { unmount } = draw(98);
    expect(screen.getByText('gap 198 mm').getAttribute('fill')).toBe('#FFFCF5');
    expect(screen.getByText('119')).toBeTruthy();
    unmount();
    draw(119);
    expect(screen.getByText('gap 177 mm').getAttribute('fill')).toBe('#33261E');
    expect(screen.queryByText('119')).toBeNull();
  });
});
