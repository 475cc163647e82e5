import { act, fireEvent, screen, within } from '@testing-library/react';
import { renderThemed } from '../testing/themed';
import { LineChart } from './LineChart';
import { nearestRow } from './reader';

const points = [
  [0, 40],
  [1, 55],
  [2, 71],
] as const;

describe('a chart is read off', () => {
  const show = () =>
    renderThemed(
      <LineChart
        label="Humidity, 40 to 71 %."
        height={100}
        x={[0, 2]}
        y={[0, 100]}
        of="day"
        xTick={(day) => `day ${day}`}
        yTick={(value) => `${value} %`}
        lines={[
          { name: 'damp end', color: '#112233', points },
          { name: 'dry end', color: '#332211', points: points.slice(0, 2) },
        ]}
      />,
    );

  it('names its lines, and says with the arrow keys what each is at a day; Escape ends it', () => {
    show();
    const picture = screen.getByRole('img', { name: /^Humidity/ });
    expect(screen.getByText('damp end')).toBeTruthy();
    fireEvent.keyDown(picture, { key: 'ArrowRight' });
    expect(screen.getByText('day 0')).toBeTruthy();
    expect(screen.getByText('damp end 40 %')).toBeTruthy();
    fireEvent.keyDown(picture, { key: 'ArrowLeft' });
    fireEvent.keyDown(picture, { key: 'ArrowRight' });
    fireEvent.keyDown(picture, { key: 'ArrowRight' });
    fireEvent.keyDown(picture, { key: 'ArrowRight' });
    expect(screen.getByText('damp end 71 %')).toBeTruthy();
    expect(screen.getByText('dry end none')).toBeTruthy();
    fireEvent.keyDown(picture, { key: 'Escape' });
    expect(screen.getByText('dry end')).toBeTruthy();
  });

  it('is there as a table, with a head for each row and column', async () => {
    show();
    await act(async () => fireEvent.click(screen.getByRole('button', { name: /^As a table: Humidity/ })));
    const table = within(screen.getByRole('table'));
    expect(table.getAllByRole('columnheader').map((each) => each.textContent)).toEqual(['day', 'damp end', 'dry end']);
    expect(table.getAllByRole('row').map((each) => each.textContent)).toEqual([
      ...['daydamp enddry end', 'day 040 %40 %', 'day 155 %55 %', 'day 271 %'],
    ]);
  });

  it('a finger between two rows reads the nearer one', () => {
    const rows = [0, 0.5, 1].map((at) => ({ at, head: '', cells: [] }));
    expect([-1, 0.24, 0.26, 0.76, 9].map((at) => nearestRow(rows, at))).toEqual([0, 0, 1, 2, 2]);
  });
});
