import Text from '@rneui/themed/dist/Text';
import { memo, useMemo } from 'react';
import { View } from 'react-native';
import { sectionOf } from '@/client/fitting';
import type { Home, Resident } from '@/contract/records';
import type { CareBook } from '@/core/profiles/careBook';
import { Leading } from '../components/Leading';
import { StatusMark } from '../components/StatusMark';
import { makeStyles, useTheme } from '../components/useStyles';
import { BoxPicture, pictureSize } from '../drawings/BoxPicture';
import { fonts, radius, space, stroke, type } from '../theme/tokens';
import type { BoxFacts, Look } from './boxFacts';
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
export const WallBox = memo(function WallBox(props: Props) {
  const { home, tenants, care, facts, look, pxPerMm, isChosen, onOpen } = props;
  const styles = useStyles();
  const { theme } = useTheme();
  // Who is drawn is who was there first: others in the box are on its page.
  const plan = useMemo(() => sectionOf(care, home, tenants[0]), [care, home, tenants]);
  const { widthPx } = pictureSize(plan, pxPerMm);
  const { verdict } = facts;
  return (
    <Leading
      aria-label={facts.label}
      aria-current={isChosen ? 'true' : undefined}
      onPress={() => onOpen(home)}
      style={[styles.box, { width: Math.max(LEAST_BOX_PX, widthPx) }, isChosen && styles.chosen]}
    >
      <View style={styles.marks}>
        {look === 'today' && facts.due ? <View style={[styles.due, facts.due === 'first' && styles.first]} /> : null}
        {facts.hasAlarm ? <View style={styles.alarm} /> : null}
        {(look === 'today' || look === 'fit') && verdict && (verdict !== 'pass' || look === 'fit') ? (
          <StatusMark status={verdict} size={14} />
        ) : null}
      </View>
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
});

const useStyles = makeStyles((theme) => ({
  box: { alignItems: 'center', borderRadius: radius.s, paddingTop: space.xs },
  chosen: {
    backgroundColor: theme.colors.resting,
    outlineStyle: 'solid',
    outlineWidth: stroke.line,
    outlineColor: theme.colors.good,
  },
  // Over the box: small boxes are no larger than their marks.
  marks: { height: 16, flexDirection: 'row', gap: space.hair, alignItems: 'center', marginBottom: space.hair },
  due: {
    width: 14,
    height: 14,
    borderRadius: 7,
    borderWidth: stroke.mark,
    borderColor: theme.colors.good,
    backgroundColor: theme.colors.air,
  },
  first: { borderColor: theme.colors.clay },
  alarm: {
    width: 9,
    height: 9,
    margin: space.hair,
    backgroundColor: theme.colors.clay,
    transform: [{ rotate: '45deg' }],
  },
  code: { fontFamily: fonts.bold, fontSize: type.small, lineHeight: 18 },
  caption: { fontSize: 12, lineHeight: 15, color: theme.colors.inkSoft, maxWidth: '140%' },
}));
