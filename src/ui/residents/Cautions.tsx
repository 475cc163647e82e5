import { View } from 'react-native';
import type { Species } from '@/contract/species';
import { makeStyles } from '../components/useStyles';
import { Body, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';

const CAUTIONS: Record<Species['cautions'][number], string> = {
  'barbed-hairs':
    'Kicks off barbed hairs: gloves, nothing near the face, keep them out of your eyes. Hairs in an eye or trouble breathing: a doctor or the emergency services at once.',
  'serious-venom':
    'Its venom can be medically serious: no handling, long tools, never alone in the room. After a bite: the emergency services or a poison centre at once.',
};

const PERMITS: Record<NonNullable<Species['permit']>, string> = {
  'cites-2':
    'May be listed under CITES Appendix II: keep the papers, and ask your own authority what holds where you live.',
};

/** What this kind can do to its keeper, and what the law may ask; the program gives no treatment and no legal advice. */
export function Cautions({ species }: { species: Species | undefined }) {
  const styles = useStyles();
  if (!species) return null;
  return (
    <View style={styles.all}>
      <Strong>Caution</Strong>
      {species.cautions.map((caution) => (
        <Body key={caution}>{CAUTIONS[caution]}</Body>
      ))}
      {species.permit ? <Body>{PERMITS[species.permit]}</Body> : null}
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
