import Text from '@rneui/themed/dist/Text';
import { useMemo } from 'react';
import { sectionOf } from '@/client/fitting';
import type { Home, Resident } from '@/contract/records';
import type { CareBook } from '@/core/profiles/careBook';
import { Leading } from '../components/Leading';
import { makeStyles, useTheme } from '../components/useStyles';
import { BoxPicture, pictureSize } from '../drawings/BoxPicture';
import { fonts, radius, space, stroke, type } from '../theme/tokens';
import type { BoxFacts, Look } from './boxFacts';
import { BoxMarks } from './BoxMarks';
import { tintOf } from './tints';
import { LEAST_BOX_PX } from './wallScale';

interface Props {
  home: Home;
  tenants: readonly Resident[];
  care: CareBook;
  facts: BoxFacts;
  look: Look;
  pxPerMm: number;
  isChosen: boolean;
  onOpen: (home: Home) => void;
}

/** One box at its place on the wall: its picture, what is to be seen of it, and its code on the edge of the shelf. */
export function WallBox(props: Props) {
  const { home, tenants, care, facts, look, pxPerMm, isChosen, onOpen } = props;
  const styles = useStyles();
  const { theme } = useTheme();
  // Who is drawn is who was there first: others in the box are on its page.
  const plan = useMemo(() => sectionOf(care, home, tenants[0]), [care, home, tenants]);
  const { widthPx } = pictureSize(plan, pxPerMm);
  return (
    <Leading
      aria-label={facts.label}
      aria-current={isChosen ? 'true' : undefined}
      onPress={() => onOpen(home)}
      style={[styles.box, { width: Math.max(LEAST_BOX_PX, widthPx) }, isChosen && styles.chosen]}
    >
      <BoxMarks facts={facts} look={look} />
      <BoxPicture
        plan={plan}
        pxPerMm={pxPerMm}
        wetness={home.state?.water?.wetness}
        isLeftAlone={facts.isLeftAlone && look === 'today'}
        tint={tintOf(theme.colors, look, facts)}
      />
      <Text style={styles.code} numberOfLines={1}>
        {home.code}
      </Text>
      {look === 'today' ? null : (
        <Text style={styles.caption} numberOfLines={1}>
          {facts.caption || ' '}
        </Text>
      )}
    </Leading>
  );
}

const useStyles = makeStyles((theme) => ({
  box: { alignItems: 'center', borderRadius: radius.s, paddingTop: space.xs },
  chosen: {
    backgroundColor: theme.colors.resting,
    outlineStyle: 'solid',
    outlineWidth: stroke.line,
    outlineColor: theme.colors.good,
  },
  code: { fontFamily: fonts.bold, fontSize: type.small, lineHeight: 18 },
  caption: { fontSize: 12, lineHeight: 15, color: theme.colors.inkSoft, maxWidth: '140%' },
}));
