import { ScrollView, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useHouse } from '@/client/house';
import type { MovesReply } from '@/contract/plan';
import { dayTick } from '@/words/days';
import { calledWords } from '@/words/residents';
import { makeStyles, useTheme } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { BoxTile } from '../drawings/BoxTile';
import { space, stroke, type } from '../theme/tokens';
import { chainsOf } from './chains';

type Move = MovesReply['moves'][number];

/** The moves as a picture: each chain of boxes from the one that is left for good to the free one, and who goes on when. */
export function MoveChains({ moves }: { moves: readonly Move[] }) {
  const styles = useStyles();
  const { homes, residents, round } = useHouse();
  const today = round?.on ?? '';
  const homeOf = (id: string | null) => homes.find((each) => each.id === id);
  const residentOf = (id: string) => residents.find((each) => each.id === id);
  const called = (move: Move) => {
    const resident = residentOf(move.resident);
    return resident ? calledWords(resident) : '';
  };
  const words = (move: Move) =>
    `${called(move)} from ${homeOf(move.from)?.code ?? 'nowhere'} to ${homeOf(move.to)?.code ?? ''}, ${dayTick(move.on, today)}`;
  return (
    <View style={styles.all}>
      {chainsOf(moves).map((chain) => {
        const end = homeOf(chain.at(-1)?.to ?? null);
        return (
          <ScrollView
            key={chain[0]?.resident}
            horizontal
            contentContainerStyle={styles.chain}
            // A chain longer than the screen is moved on by the arrow keys.
            {...{ role: 'img', tabIndex: 0, 'aria-label': chain.map(words).join('; ') }}
          >
            {chain.map((move) => {
              const [home, resident] = [homeOf(move.from), residentOf(move.resident)];
              return (
                <View key={move.resident} style={styles.step}>
                  {home ? <BoxTile home={home} resident={resident} /> : <Soft>new</Soft>}
                  <View style={styles.way}>
                    <Strong style={styles.small}>{called(move)}</Strong>
                    <Arrow />
                    <Soft>{dayTick(move.on, today)}</Soft>
                  </View>
                </View>
              );
            })}
            {end ? <BoxTile home={end} /> : null}
          </ScrollView>
        );
      })}
    </View>
  );
}

const ARROW = { width: 64, height: 12 };

function Arrow() {
  const { theme } = useTheme();
  const { width, height } = ARROW;
  return (
    <Svg {...ARROW} aria-hidden>
      <Path
        d={`M 2 ${height / 2} H ${width - 2} m -7 -5 l 7 5 l -7 5`}
        stroke={theme.colors.good}
        strokeWidth={stroke.line}
        fill="none"
      />
    </Svg>
  );
}

const useStyles = makeStyles(() => ({
  all: { gap: space.m },
  chain: { alignItems: 'center', gap: space.s },
  step: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  way: { alignItems: 'center' },
  small: { fontSize: type.small },
}));
