import { fireEvent, screen } from '@testing-library/react';
import { renderThemed } from '../testing/themed';
import Calendar from './Calendar';

/** What is tapped in a month of days is what is chosen, in every time zone (`bin/test-clocks`) and at every hour of the night. */
describe('the calendar', () => {
  it.each([
    [undefined, '2026-03-14', '10', '2026-03-10'],
    [undefined, '2026-03-14', '1', '2026-03-01'],
    ['2026-03-05', undefined, '29', '2026-03-29'],
    ['2028-02-28', undefined, '29', '2028-02-29'],
    ['2026-10-20', undefined, '25', '2026-10-25'],
    ['2026-12-31', undefined, '30', '2026-12-30'],
  ])('with %s chosen and %s the last, the %s is %s', (value, max, tapped, expected) => {
    const chosen: string[] = [];
    renderThemed(<Calendar value={value} max={max} onChange={(day) => chosen.push(day)} />);
    const days = screen.getAllByRole('button', { name: tapped });
    // Of two days of one number the month itself has the later one at its end, the earlier one at its beginning.
    const day = Number(tapped) > 20 ? days.at(-1) : days[0];
    fireEvent.click(day as HTMLElement);
    expect(chosen).toEqual([expected]);
  });
});
