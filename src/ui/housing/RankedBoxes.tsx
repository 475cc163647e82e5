import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Home } from '@/contract/records';
import type { AirOfRanked, RankedHome, Warmth } from '@/core/housing/rank';
import { Button } from '../kit/Button';
import { BoxTile } from '../drawings/BoxTile';
import { StatusMark, STATUS_WORD, useStatusInk } from '../components/StatusMark';
import { Tappable } from '../components/Tappable';
import { makeStyles } from '../components/useStyles';
import { Soft, Strong } from '../components/Words';
import { radius, space, stroke } from '../theme/tokens';
import { onceDrilledWords } from '@/words/build';
import { troubleWords } from '@/words/checks';
import { changesNumber } from '@/words/staleAir';
import { litres } from '@/words/home';
import { calledWords, containerWords } from '@/words/residents';
import { capital } from '@/words/text';
import { useTemperature, type TemperatureWords } from '@/words/temperature';
import { useLength } from '@/words/useLength';

interface Props {
  ranking: RankedHome[];
  /** Where it would live with others that it bears: shown when they are asked for. */
  withOthers?: RankedHome[];
  homes: Home[];
  /** Of boxes that nobody has yet: by their id, what they are called where they are sold. */
  sizes?: ReadonlyMap<string, string>;
  presentId?: string;
  chosenId: string | undefined;
  onChoose: (homeId: string) => void;
}

/** Own boxes from best to worst; each says what is wrong with it, how deep to fill it, and how long it will serve. */
export function RankedBoxes({ ranking, withOthers = [], homes, sizes, presentId, chosenId, onChoose }: Props) {
  const styles = useStyles();
  const [isShown, setShown] = useState(false);
  return (
    <View style={styles.all}>
      <View role="radiogroup" aria-label={sizes ? 'Usual sizes, best first' : 'Boxes, best first'} style={styles.list}>
        {[...ranking, ...(isShown ? withOthers : [])].map((ranked) => {
          const home = homes.find((each) => each.id === ranked.homeId);
          if (!home) return null;
          return (
            <BoxRow
              key={home.id}
              ranked={ranked}
              home={home}
              size={sizes?.get(home.id)}
              isPresent={home.id === presentId}
              isChosen={home.id === chosenId}
              onChoose={() => onChoose(home.id)}
            />
          );
        })}
      </View>
      {withOthers.length > 0 && !isShown ? (
        <Button rank="second" title={`Boxes where others live: ${withOthers.length}`} onPress={() => setShown(true)} />
      ) : null}
    </View>
  );
}

interface RowProps {
  ranked: RankedHome;
  home: Home;
  size: string | undefined;
  isPresent: boolean;
  isChosen: boolean;
  onChoose: () => void;
}

function BoxRow({ ranked, home, size, isPresent, isChosen, onChoose }: RowProps) {
  const styles = useStyles();
  const length = useLength();
  const { verdict, warmth } = ranked;
  const temperature = useTemperature();
  const ink = useStatusInk(verdict);
  const { shelves, residents } = useHouse();
  const shelf = shelves.find((each) => each.id === home.shelfId)?.name;
  const company = isPresent ? [] : residents.filter((each) => each.homeId === home.id).map(calledWords);
  const tooWarm = warmth && warmth.status !== 'pass' ? warmthTrouble(warmth, temperature) : null;
  const airless = ranked.air && ranked.air.status !== 'pass' ? airTrouble(ranked.air) : null;
  const troubles = [troubleWords(ranked.fit), tooWarm, airless].filter((words) => words !== null);
  const trouble = troubles.length === 0 ? null : capital(troubles.join('; '));
  const work = ranked.drill ? onceDrilledWords(ranked.drill, length) : null;
  return (
    <Tappable
      role="radio"
      aria-checked={isChosen}
      aria-label={`${size === undefined ? home.code : `${size}, ${containerWords(home, length)}`}, ${STATUS_WORD[verdict]}${work === null ? '' : ` ${work}`}${trouble === null ? '' : `: ${trouble}`}`}
      onPress={onChoose}
      style={[styles.row, isChosen && styles.chosen]}
    >
      <BoxTile home={home} isYetToGet={size !== undefined} />
      <View style={styles.words}>
        <View style={styles.verdict}>
          <StatusMark status={verdict} />
          <Strong style={{ color: ink }}>{STATUS_WORD[verdict]}</Strong>
          {isPresent ? <Soft>lives here now</Soft> : null}
        </View>
        {size === undefined ? null : <Strong>{size}</Strong>}
        {work === null ? null : <Strong>{capital(work)}</Strong>}
        {trouble === null ? null : <Soft style={{ color: ink }}>{trouble}</Soft>}
        {company.length > 0 ? <Soft>{`joins ${company.join(', ')}`}</Soft> : null}
        <Soft>{[containerWords(home, length), shelf].filter((words) => words !== undefined).join(', ')}</Soft>
        <Soft>{`${fillWords(ranked, length.long, size !== undefined)}${isSillUnsaid(home, ranked) ? ', if its wall under the door is as high' : ''}`}</Soft>
        {verdict === 'fail' ? null : <Soft>{laterWords(ranked)}</Soft>}
      </View>
    </Tappable>
  );
}

/** "too little air: 0.1 changes an hour, wants 0.3". */
const airTrouble = ({ airChangesPerHour, minPerHour }: AirOfRanked) =>
  `too little air: ${changesNumber(airChangesPerHour)} changes an hour, wants ${changesNumber(minPerHour)}`;

/** "too cold: 12 C, wants 20 to 29 C". */
function warmthTrouble({ temperatureC, minC, maxC }: Warmth, { long }: TemperatureWords): string {
  return `too ${temperatureC < minC ? 'cold' : 'warm'} there: ${long(temperatureC)}, wants ${long(minC)} to ${long(maxC)}`;
}

/** Soil that would be put in stands behind a door of which nobody said how high it begins. */
const isSillUnsaid = ({ container }: Home, { soilToAddL }: RankedHome) =>
  container.opens === 'front' && container.sillMm === undefined && soilToAddL > 0;

/** "fill to 72 mm, 8.1 L more", or that it stands right; of a box that is still empty, how much in all. */
function fillWords({ depthMm, soilToAddL, fit }: RankedHome, long: (mm: number) => string, isEmpty: boolean): string {
  if (fit.substrateDepthMm.recommended === null) return 'fits at no depth of soil';
  if (Math.abs(soilToAddL) < 0.005) return depthMm > 0 ? `soil right at ${long(depthMm)}` : 'as it is, without soil';
  return soilToAddL > 0
    ? `fill to ${long(depthMm)}, ${litres(soilToAddL)} ${isEmpty ? 'of soil' : 'more'}`
    : `take soil out to ${long(depthMm)}, ${litres(-soilToAddL)} less`;
}

/** How many of the next two moults it still serves after. */
function laterWords({ afterMoults }: RankedHome): string {
  const served = afterMoults.findIndex((each) => each.verdict === 'fail');
  if (served === 0) return 'outgrown at the next moult';
  return served > 0 ? 'fits for one more moult' : 'fits for two moults and more';
}

const useStyles = makeStyles((theme) => ({
  all: { gap: space.s, marginTop: space.m },
  list: { gap: space.s },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    padding: space.m,
    borderWidth: stroke.line,
    borderColor: theme.colors.line,
    borderRadius: radius.m,
    backgroundColor: theme.colors.raised,
  },
  chosen: { borderColor: theme.colors.good, backgroundColor: theme.colors.resting },
  words: { flex: 1, gap: space.hair },
  verdict: { flexDirection: 'row', alignItems: 'center', gap: space.s },
}));
