import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { Text } from 'react-native';
import { useCall } from '@/client/useCall';
import { renderThemed } from '../testing/themed';
import { Waiting } from './Waiting';

let answers: (() => Promise<string>)[] = [];
const next = () => (answers.shift() ?? (() => new Promise<string>(() => undefined)))();
const refused = () => Promise.reject(new Error('The printer is out.'));

function Page() {
  const [about, setAbout] = useState('printer');
  const { answer, problem, again } = useCall(about, next);
  if (answer === null) return <Waiting {...{ problem, again }}>Asking…</Waiting>;
  return <Text onPress={() => setAbout('other')}>{answer}</Text>;
}

test('what did not come can be asked for again; once it is there it stays while another is asked for', async () => {
  answers = [refused, refused, () => Promise.resolve('Ready.')];
  renderThemed(<Page />);
  expect(screen.getByText('Asking…')).toBeTruthy();
  for (let times = 0; times < 2; times += 1) {
    fireEvent.click(await screen.findByRole('button', { name: 'Try again' }));
    await screen.findByRole('status');
  }
  fireEvent.click(await screen.findByText('Ready.'));
  expect(answers).toEqual([]);
  expect(screen.getByText('Ready.')).toBeTruthy();
});
