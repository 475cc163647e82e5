import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import type { BuildStep } from '@/core/substrate/buildSheet';
import { sectionPlan } from '@/core/housing/section';
import { flat, type Soil } from '@/core/housing/soil';
import { StepList } from '../build/StepList';
import { scaleOf } from '../drawings/scale';
import { SoilHandle } from '../drawings/SoilHandle';
import { numberIn } from '@/core/measure/typedNumber';
import { headCountIn, numberCheck, countCheck, lengthCheck } from '../forms/checks';
import { SoilShape } from '../housing/SoilShape';
import { renderThemed } from '../testing/themed';
import { Choices } from '../kit/Choices';
import { Toggles } from '../kit/Toggles';

const output = () => screen.getByRole('status').textContent;

describe('things to choose', () => {
  it('hold one, by tap and by key', () => {
    function One() {
      const [value, setValue] = useState<'a' | 'b'>('a');
      return (
        <>
          <Choices
            label="Letters"
            choices={[
              { value: 'a', title: 'A' },
              { value: 'b', title: 'B' },
            ]}
            value={value}
            onChange={setValue}
          />
          <output>{value}</output>
        </>
      );
    }
    renderThemed(<One />);
    fireEvent.click(screen.getByRole('radio', { name: 'B' }));
    expect(output()).toBe('b');
    fireEvent.keyDown(screen.getByRole('radio', { name: 'A' }), { key: ' ' });
    expect(output()).toBe('a');
    fireEvent.keyDown(screen.getByRole('radio', { name: 'A' }), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(screen.getByRole('radio', { name: 'B' }));
  });

  it('hold several, each taken and left by itself', () => {
    function Several() {
      const [values, setValues] = useState<string[]>(['a']);
      return (
        <>
          <Toggles
            label="Sides"
            choices={[
              { value: 'a', title: 'left' },
              { value: 'b', title: 'right' },
            ]}
            values={values}
            onChange={setValues}
          />
          <output>{values.join()}</output>
        </>
      );
    }
    renderThemed(<Several />);
    const left = screen.getByRole('checkbox', { name: 'Sides: left' });
    expect(left.getAttribute('aria-checked')).toBe('true');
    fireEvent.click(screen.getByRole('checkbox', { name: 'Sides: right' }));
    fireEvent.click(left);
    expect(output()).toBe('b');
  });
});

describe('the soil line', () => {
  const container = { shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] } as const;
  function Handle({ from }: { from: number }) {
    const [depth, setDepth] = useState(from);
    const plan = sectionPlan({ container: { ...container, vents: [] }, substrateDepthMm: depth }, null);
    return (
      <>
        <SoilHandle plan={plan} scale={scaleOf(plan, 390)} words={`${depth} mm`} onChange={setDepth} />
        <output>{depth}</output>
      </>
    );
  }
  it('is moved by the arrow keys and by the page, and stays in the box', () => {
    renderThemed(<Handle from={195} />);
    const handle = screen.getByRole('slider');
    fireEvent.keyDown(handle, { key: 'ArrowUp' });
    expect(output()).toBe('196');
    fireEvent.keyDown(handle, { key: 'PageUp' });
    expect(output()).toBe('200');
    fireEvent.keyDown(handle, { key: 'PageDown' });
    expect(output()).toBe('190');
    fireEvent.keyDown(handle, { key: 'x' });
    expect(output()).toBe('190');
    expect(handle.getAttribute('aria-valuemax')).toBe('200');
    expect(handle.getAttribute('aria-valuetext')).toBe('190 mm');
  });
});

describe('the surface of the soil', () => {
  function Surface() {
    const [soil, setSoil] = useState<Soil>(flat(100));
    return (
      <>
        <SoilShape soil={soil} heightMm={150} onChange={setSoil} />
        <output>{JSON.stringify(soil)}</output>
      </>
    );
  }
  const shown = () => JSON.parse(output() ?? '') as Soil;
  it('goes from flat to sloped to steps and keeps its mean', () => {
    renderThemed(<Surface />);
    fireEvent.click(screen.getByRole('radio', { name: 'sloped' }));
    expect(shown()).toEqual({ shape: 'slope', frontMm: 120, backMm: 80 });
    fireEvent.click(screen.getByRole('radio', { name: 'in steps' }));
    expect(shown()).toEqual({ shape: 'terraces', depthsMm: [120, 100, 80] });
    fireEvent.click(screen.getByRole('radio', { name: 'flat' }));
    expect(shown()).toEqual({ shape: 'flat', depthMm: 100 });
  });
  it('is typed, and refuses what is no depth, too many of them, or above the lid', () => {
    renderThemed(<Surface />);
    fireEvent.click(screen.getByRole('radio', { name: 'sloped' }));
    const field = screen.getByLabelText(/Damp end, dry end/);
    fireEvent.change(field, { target: { value: '9 cm; 0' } });
    expect(shown()).toEqual({ shape: 'slope', frontMm: 90, backMm: 0 });
    fireEvent.change(field, { target: { value: '1; 2; 3' } });
    expect(screen.getByText(/Write 2 depths/)).toBeTruthy();
    fireEvent.change(field, { target: { value: '151; 20' } });
    expect(screen.getByText(/the box is no higher/)).toBeTruthy();
    expect(shown()).toEqual({ shape: 'slope', frontMm: 90, backMm: 0 });
  });
});

describe('a build sheet', () => {
  const steps: BuildStep[] = [
    { code: 'furnish', kind: 'dish', count: 1, cautions: [] },
    {
      code: 'mix',
      materials: [{ material: 'lime', volumeL: 0.2, dryMassG: 220, waterMl: 0 }],
      cautions: ['caustic-dust'],
    },
  ];
  it('is ticked step by step; a caution stands until its step is done', () => {
    renderThemed(<StepList homeId="h1" code="B3" steps={steps} />);
    const mix = screen.getByRole('checkbox', { name: 'B3: Mix 200 mL ground lime' });
    expect(screen.getByText(/Lime dust burns eyes/)).toBeTruthy();
    fireEvent.click(mix);
    expect(mix.getAttribute('aria-checked')).toBe('true');
    expect(screen.queryByText(/Lime dust burns eyes/)).toBeNull();
    fireEvent.click(mix);
    expect(mix.getAttribute('aria-checked')).toBe('false');
  });
});

describe('what is typed', () => {
  it.each([
    ['12', 12],
    [' 12 ', 12],
    ['0', undefined],
    ['1.5', undefined],
    ['many', undefined],
    ['1000001', undefined],
  ])('as a number of animals: %p', (text, count) => expect(headCountIn(text)).toBe(count));
  it.each([
    ['1,5', 1.5],
    ['-3', -3],
    ['3 kg', undefined],
    ['', undefined],
  ])('as a number: %p', (text, value) => expect(numberIn(text)).toBe(value));
  it('is held to its limits, which the refusal names', () => {
    expect(numberCheck(0, 1000)('1001')).toBe('A number from 0 to 1000.');
    expect(numberCheck(0, 1000)('0')).toBe(true);
    expect(countCheck('0')).toBe('A whole number from 1 to 2000.');
    expect(lengthCheck('cm', 5, 5000)('0.4')).toBe('Must be from 5 mm to 500 cm.'.replace('5 mm', '0.5 cm'));
    expect(lengthCheck('cm', 5, 5000)('12 in')).toBe(true);
  });
});
