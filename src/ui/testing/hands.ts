import { act, fireEvent, screen } from '@testing-library/react';

/** Taps what has a role and a name. */
export const tap = (role: string, name: string | RegExp) =>
  act(async () => fireEvent.click(screen.getByRole(role, { name })));

/** Types into the field of a label. */
export const type = (label: string | RegExp, value: string) =>
  act(async () => fireEvent.change(screen.getByLabelText(label), { target: { value } }));
