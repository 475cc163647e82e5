import { memo } from 'react';
import { View } from 'react-native';
import type { Home, Resident, Shelf } from '@/contract/records';
import type { CareBook } from '@/core/profiles/careBook';
import { useIsWide } from '../components/useLayout';
import { makeStyles } from '../components/useStyles';
import { StopPlace } from '../round/StopPlace';
import { space } from '../theme/tokens';
import { Lifted, ShelfEnd, type Spot } from './Arranging';
import { boxFacts, type Asked } from './boxFacts';
import { ShelfBoard } from './ShelfBoard';
import { WallBox } from './WallBox';

/** How all boxes of the wall are looked at, and what a tap on one does. */
export interface WallView {
  asked: Asked;
  care: CareBook;
  pxPerMm: number;
  open: (home: Home) => void;
}

interface BoxProps {
  home: Home;
  tenants: readonly Resident[];
  view: WallView;
  isChosen: boolean;
}

/** A box as it stands, drawn again only when something about it has changed: there may be hundreds on a wall. */
export const StandingBox = memo(function StandingBox({ home, tenants, view, isChosen }: BoxProps) {
  const { asked, care, pxPerMm, open } = view;
  return (
    <WallBox
      {...{ home, tenants, care, pxPerMm, isChosen }}
      look={asked.look}
      facts={boxFacts(home, tenants, asked)}
      onOpen={open}
    />
  );
});

const NOBODY: readonly Resident[] = [];
const NO_BOXES: readonly Home[] = [];

interface Props {
  shelf: Shelf;
  boxes: readonly Home[] | undefined;
  tenantsOf: ReadonlyMap<string, readonly Resident[]>;
  view: WallView;
  /** The box that stands in the pane beside, where it is one of these. */
  chosenId: string | undefined;
}

/** A shelf with its boxes; on a phone with its stops below it. */
export const WallShelf = memo(function WallShelf({ shelf, boxes = NO_BOXES, tenantsOf, view, chosenId }: Props) {
  const styles = useStyles();
  const isWide = useIsWide();
  const spot = (before: Home | null): Spot => ({ shelfId: shelf.id, shelfName: shelf.name, before });
  const { round } = view.asked;
  const stops = (round?.stops ?? []).filter((stop) => stop.shelfId === shelf.id && stop.jobs.length > 0);
  return (
    <View>
      <ShelfBoard shelf={shelf} homes={boxes}>
        {boxes.map((home) => (
          <Lifted key={home.id} home={home} spot={spot(home)}>
            <StandingBox
              {...{ home, view }}
              tenants={tenantsOf.get(home.id) ?? NOBODY}
              isChosen={home.id === chosenId}
            />
          </Lifted>
        ))}
        <ShelfEnd spot={spot(null)} />
      </ShelfBoard>
      {isWide || !round ? null : (
        <View style={styles.stops}>
          {stops.map((stop) => (
            <StopPlace
              key={stop.residentId}
              id={stop.residentId}
              stop={stop}
              today={round.on}
              isChosen={stop.homeId === chosenId}
            />
          ))}
        </View>
      )}
    </View>
  );
});

const useStyles = makeStyles(() => ({
  stops: { paddingHorizontal: space.l, marginBottom: space.m },
}));
