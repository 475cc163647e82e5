import { router, type Href } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { Icon } from '../components/Icon';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { Button } from '../kit/Button';
import { radius, space, stroke, target } from '../theme/tokens';

interface Step {
  title: string;
  about: string;
  isDone: boolean;
  action: string;
  to: Href;
}

/** From an empty house to the first animal in its box: what is done, what comes next, and what may be brought along. */
export default function FirstSteps() {
  const styles = useStyles();
  const { shelves, homes, residents } = useHouse();
  const show = useLog((log) => log.show);
  const load = useHouse((house) => house.load);
  const steps: Step[] = [
    {
      ...{ title: 'Rooms and shelves', about: 'Where the boxes stand: the round passes them in this order.' },
      ...{ isDone: shelves.length > 0, action: 'Put up shelves', to: '/homes/shelves' },
    },
    {
      ...{ title: 'A box', about: 'Its inside lengths and its openings; the rest can follow.' },
      ...{ isDone: homes.length > 0, action: 'Add a box', to: '/homes/new' },
    },
    {
      ...{ title: 'Somebody to live in it', about: 'Its name says how it is kept; your boxes are ranked for it.' },
      ...{ isDone: residents.length > 0, action: 'Take an animal in', to: '/take-in' },
    },
  ];
  const next = steps.find(({ isDone }) => !isDone);
  const layExample = async () => {
    try {
      await call('layExample', {});
      await load();
      show({ text: 'This is the example house. Look around; it is thrown away from the round or the wall.' });
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={styles.all}>
      <Heading>First steps</Heading>
      <View role="list">
        {steps.map((step, index) => (
          <View
            key={step.title}
            role="listitem"
            aria-label={`${step.title}: ${step.isDone ? 'done' : step === next ? 'next' : 'later'}`}
            style={styles.step}
          >
            <View style={[styles.mark, step.isDone && styles.done]}>
              {step.isDone ? <Icon name="Check" size={18} /> : <Strong>{String(index + 1)}</Strong>}
            </View>
            <View style={styles.words}>
              <Strong>{step.title}</Strong>
              <Soft>{step.about}</Soft>
            </View>
          </View>
        ))}
      </View>
      {next ? <Button title={next.action} onPress={() => router.push(next.to)} /> : null}
      {next?.to === '/homes/new' ? (
        <>
          <Body>No box yet? Say who is to live in it, and the sizes that serve it are shown.</Body>
          <Button rank="second" title="Which size for my animal" onPress={() => router.push('/take-in')} />
        </>
      ) : null}
      <Body>Do you have it all in a sheet? Boxes, residents and what has happened come in as lists.</Body>
      <Button rank="second" title="Bring a list in" onPress={() => router.push('/lists')} />
      {shelves.length === 0 ? (
        <>
          <Body>Or look into a house that is full first. It is thrown away with all you try in it.</Body>
          <Button rank="second" title="Look into an example house" onPress={() => void layExample()} />
        </>
      ) : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.m, marginTop: space.l },
  step: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: target + space.l,
    paddingVertical: space.s,
    borderBottomWidth: stroke.thin,
    borderBottomColor: theme.colors.line,
  },
  mark: {
    width: 36,
    height: 36,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: radius.s,
    borderWidth: stroke.line,
    borderColor: theme.colors.line,
  },
  done: { borderColor: theme.colors.good },
  words: { flex: 1 },
}));
