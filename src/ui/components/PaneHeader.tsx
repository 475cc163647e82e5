import Text from '@rneui/themed/dist/Text';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { fonts, space, target } from '../theme/tokens';
import { Icon } from './Icon';
import { useIsWide } from './useLayout';
import { makeStyles } from './useStyles';

/** The way back to the list this was chosen from; on a wide screen the list stands beside it. */
export function PaneHeader({
  back,
  title,
  children,
}: {
  back:
    | '/residents'
    | '/homes'
    | '/'
    | '/store'
    | '/store?part=boxes'
    | '/settings'
    | '/labels'
    | `/seasons${string}`
    | '/profiles'
    | '/keepers'
    | '/people'
    | '/probes'
    | '/handbook'
    | `/homes/${string}`
    | `/residents/${string}`;
  title: string;
  children?: ReactNode;
}) {
  const styles = useStyles();
  const isWide = useIsWide();
  if (isWide) return children ? <View style={styles.row}>{children}</View> : null;
  const leave = () => (router.canGoBack() ? router.back() : router.replace(back));
  return (
    <View style={styles.row}>
      <Pressable role="button" aria-label={`Back to ${title}`} onPress={leave} style={styles.back}>
        <Icon name="ArrowLeft" />
        <Text style={styles.title}>{title}</Text>
      </Pressable>
      {children}
    </View>
  );
}

const useStyles = makeStyles(() => ({
  row: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', minHeight: target },
  back: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    minHeight: target,
    paddingRight: space.l,
    marginLeft: -space.xs,
  },
  title: { fontFamily: fonts.bold },
}));
