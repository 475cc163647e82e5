import { act, fireEvent, screen } from '@testing-library/react';

/** Taps what has a role and a name. */
export const tap = (role: string, name: string | RegExp) =>
  act(async () => fireEvent.click(screen.getByRole(role, { name })));

/** Chooses an answer to a question, few of which are seen at once and many in a list that opens. */
export async function pick(label: string, name: string | RegExp): Promise<void> {
  await openList(label);
  await tap('radio', name);
}

/** Opens the list of a question, where its answers are in one. */
export async function openList(label: string): Promise<void> {
  const list = screen.queryByRole('button', { name: (name) => name.startsWith(`${label}: `) });
  if (list) await act(async () => fireEvent.click(list));
}

/** Types into the field of a label. */
export const type = (label: string | RegExp, value: string) =>
  act(async () => fireEvent.change(screen.getByLabelText(label), { target: { value } }));
