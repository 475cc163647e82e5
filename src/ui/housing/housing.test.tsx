import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { usePreferences } from '@/client/preferences';
import { profileOf } from '@/contract/profiles';
import type { Container } from '@/core/housing/container';
import { fit } from '@/core/housing/fit';
import { sectionPlan } from '@/core/housing/section';
import { Section } from '../drawings/Section';
import { renderThemed } from '../testing/themed';
import { formatLength } from '@/core/measure/length';
import { CheckList } from './CheckList';
import { DepthEditor } from './DepthEditor';

const container: Container = { shape: 'box', lengthMm: 310, widthMm: 240, heightMm: 296, lid: 'solid', vents: [] };
const fitAt = (substrateDepthMm: number) =>
  fit(profileOf('ground-tarantula'), { stage: 'adult', legSpanMm: 118, container, substrateDepthMm });

describe('the verdicts', () => {
  it('stand worst first, and open to their grounds', () => {
    renderThemed(<CheckList checks={fitAt(98).checks} schoolName={(id) => id} />);
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
    const { unmount } = renderThemed(<CheckList checks={fitAt(98).checks} schoolName={(id) => id} />);
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

describe('the drawing', () => {
  const length = {
    unit: 'mm' as const,
    long: (mm: number) => formatLength(mm, 'mm'),
    short: (mm: number) => String(mm),
  };
  const draw = (depthMm: number) => {
    const plan = sectionPlan(container, depthMm, { stage: 'adult', legSpanMm: 118, lives: 'ground' });
    return renderThemed(<Section plan={plan} fit={fitAt(depthMm)} length={length} width={390} label="a section" />);
  };

  it('is true to scale: one factor for the box, the soil and the animal', () => {
    const { container: page } = draw(98);
    const rects = Array.from(page.querySelectorAll('rect')).map((rect) =>
      ['width', 'height'].map((name) => Number(rect.getAttribute(name))),
    );
    const [air, soil] = rects as [number, number][];
    const pxPerMm = (air as [number, number])[0] / 310;
    expect(air).toEqual([expect.closeTo(310 * pxPerMm), expect.closeTo(296 * pxPerMm)]);
    expect(soil).toEqual([expect.closeTo(310 * pxPerMm), expect.closeTo(98 * pxPerMm)]);
    const scaleBar = rects.find(([width]) => Math.abs((width ?? 0) - 50 * pxPerMm) < 1e-6);
    expect(scaleBar).toBeDefined();
    expect(screen.getByText('100 mm')).toBeTruthy();
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
