import { View } from 'react-native';
import type { Caution, Species } from '@/contract/species';
import { makeStyles } from '../components/useStyles';
import { Body, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';

const CAUTIONS: Record<Caution, string> = {
  'barbed-hairs':
    'Kicks off barbed hairs: gloves, nothing near the face, keep them out of your eyes. Hairs in an eye or trouble breathing: a doctor or the emergency services at once.',
  'serious-venom':
    'Its venom can be medically serious: no handling, long tools, never alone in the room. After a bite: the emergency services or a poison centre at once.',
  sting:
    'It stings: no handling, long tools. Trouble breathing, swelling away from the sting or feeling faint: the emergency services at once.',
  stab: 'It stabs with its beak, and some spray: very painful, dangerous in an eye. No handling, eyes covered. Liquid in an eye or trouble breathing: the emergency services at once.',
  pinch: 'It pinches with its hind legs and draws blood: take it by the sides of the body, or let it walk onto bark.',
  bite: 'It bites and holds on: long tools, sleeves closed, a barrier on the rim. Trouble breathing or feeling faint: the emergency services at once.',
  'defence-liquid':
    'It gives off a liquid that stains and burns: wash hands, keep it from eyes and mouth. Liquid in an eye: a doctor at once.',
};

const PERMITS: Record<NonNullable<Species['permit']>, string> = {
  'cites-2':
    'May be listed under CITES Appendix II: keep the papers, and ask your own authority what holds where you live.',
  'plant-pest':
    'Counts as a danger to plants in some countries, where it may need a permit or may not be kept at all: ask your own authority. Never release it, nor its eggs.',
};

/** What this kind can do to its keeper, and what the law may ask; the program gives no treatment and no legal advice. */
export function Cautions({ species }: { species: Species | undefined }) {
  const styles = useStyles();
  if (!species || (species.cautions.length === 0 && !species.permit)) return null;
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
