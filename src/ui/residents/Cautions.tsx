import { router } from 'expo-router';
import { View } from 'react-native';
import { useDangers } from '@/client/dangers';
import { hazardsAt, type Exposure } from '@/core/profiles/hazards';
import { LinkRow } from '../components/LinkRow';
import { makeStyles } from '../components/useStyles';
import { Body, Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';

interface Who {
  scientificName: string;
  profile: string;
}

interface Props {
  /** One, or all that a step is taken for. */
  who: Who | readonly Who[];
  /** How near the step on this screen brings a keeper; left out, everything is said. */
  before?: Exposure;
}

/** What this animal can do to its keeper, before a step that exposes one; the program gives no treatment and no legal advice. */
export function Cautions({ who, before }: Props) {
  const styles = useStyles();
  const { hazards, law, of } = useDangers(...[who].flat());
  const near = before === undefined ? hazards : hazardsAt(hazards, before);
  if (near.length === 0 && (law === null || before !== undefined)) return null;
  const tools = [...new Set(near.flatMap((hazard) => hazard.tools))];
  const rules = [
    ...(near.some(({ doNotHandle }) => doNotHandle) ? ['do not handle'] : []),
    ...(near.some(({ notAlone }) => notAlone) ? ['do not work alone'] : []),
  ];
  return (
    <View style={styles.all} role="note" aria-label="Caution">
      <Strong>{rules.length > 0 ? `Caution: ${rules.join(', ')}` : 'Caution'}</Strong>
      {of === 'kind' && near.length > 0 ? (
        <Soft>Nobody here knows this species. Of its kind it has to be reckoned with:</Soft>
      ) : null}
      {near.map((hazard) => (
        <Body key={hazard.id}>{before === undefined ? hazard.text : hazard.atStep}</Body>
      ))}
      {tools.length > 0 ? <Soft>{`At hand: ${tools.join(', ')}.`}</Soft> : null}
      {before === undefined && law ? <Body>{law.text}</Body> : null}
      {near.length > 0 ? (
        <LinkRow links={[{ title: 'Emergency card', onPress: () => router.push('/handbook/emergency') }]} />
      ) : null}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  all: {
    gap: space.s,
    marginTop: space.l,
    paddingLeft: space.m,
    borderLeftWidth: stroke.mark * 2,
    borderLeftColor: theme.colors.amber,
  },
}));
