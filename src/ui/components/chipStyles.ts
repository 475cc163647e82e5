import { fonts, radius, space, stroke, target, type } from '../theme/tokens';
import { makeStyles } from './useStyles';

/** How something to choose looks, before and after it is chosen. */
export const useChipStyles = makeStyles((theme) => ({
  group: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  oneLine: { flexWrap: 'nowrap', overflow: 'scroll', maxWidth: '100%' },
  choice: {
    minHeight: target,
    maxWidth: '100%',
    flexShrink: 0,
    justifyContent: 'center',
    paddingHorizontal: space.m,
    paddingVertical: space.s,
    borderWidth: stroke.thin,
    borderColor: theme.colors.inkSoft,
    borderRadius: radius.s,
    backgroundColor: theme.colors.raised,
  },
  chosen: { backgroundColor: theme.colors.bar, borderColor: theme.colors.bar },
  title: { fontFamily: fonts.text, fontSize: type.body },
  chosenTitle: { fontFamily: fonts.bold, color: theme.colors.barInk },
}));
