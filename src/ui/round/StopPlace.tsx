import { JOBS } from '@/core/plan/jobs';
import { router } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import { dangersIn } from '@/client/dangers';
import { useHouse } from '@/client/house';
import { tenantsOf } from '@/client/tenants';
import type { Stop } from '@/contract/round';
import type { Job } from '@/core/plan/work';
import { hazardsAt, type Hazard } from '@/core/profiles/hazards';
import { Leading } from '../components/Leading';
import { useIsWide } from '../components/useLayout';
import { BoxTile } from '../drawings/BoxTile';
import { makeStyles } from '../components/useStyles';
import { Name, Soft } from '../components/Words';
import { space, target } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { HazardLine } from './HazardLine';
import { JobRow } from './JobRow';

interface Props {
  stop: Stop;
  today: string;
  isChosen: boolean;
}

interface PlaceProps extends Props {
  id: string;
  /** Not drawn yet: so much room is kept for it. */
  heightPx?: number | undefined;
}

/** A stop in its place on the walk: drawn again only when something about it has changed, for there may be hundreds. */
export const StopPlace = memo(function StopPlace({ id, heightPx, ...stop }: PlaceProps) {
  if (heightPx !== undefined) return <View id={id} style={{ height: heightPx }} />;
  return (
    <View id={id}>
      <StopRows {...stop} />
    </View>
  );
});

/** One box on the walk: who lives in it, and each thing to do there with its circle. */
function StopRows({ stop, today, isChosen }: Props) {
  const styles = useStyles();
  const isWide = useIsWide();
  const home = useHouse((house) => house.homes.find((each) => each.id === stop.homeId));
  const resident = useHouse((house) => house.residents.find((each) => each.id === stop.residentId));
  const hazards = useHouse((house) => house.hazards);
  const species = useHouse((house) => house.species);
  const care = useHouse((house) => house.care);
  // Where several live in a box, what is said of one is not to be heard as of another.
  const isNamed = useHouse((house) => (tenantsOf(house.residents).get(stop.homeId) ?? []).length > 1);
  if (!home || !resident) return null;
  const code = isNamed ? `${home.code}, ${calledWords(resident)}` : home.code;
  const near = nearest(dangersIn(hazards, species, care, resident).hazards, stop.jobs);
  const open = () => (isWide ? router.setParams({ home: home.id }) : router.push(`/homes/${home.id}`));
  const label = `Open ${home.code}, ${calledWords(resident)}`;
  return (
    <View style={[styles.stop, isChosen && isWide && styles.chosen]}>
      {stop.jobs.map((job, index) => (
        <JobRow key={job.kind} {...{ code, job, home, resident, today }}>
          {index === 0 ? (
            <Leading aria-label={label} onPress={open} style={styles.who}>
              <View style={styles.tag}>
                <BoxTile home={home} resident={resident} isLeftAlone={stop.leaveAlone !== null} />
              </View>
              <Name style={styles.name}>{resident.scientificName}</Name>
              {resident.called !== null ? (
                <Soft numberOfLines={1} style={styles.called}>
                  {resident.called}
                </Soft>
              ) : null}
            </Leading>
          ) : null}
          {index === 0 ? <HazardLine hazards={near} /> : null}
        </JobRow>
      ))}
    </View>
  );
}

/** What the nearest of its open jobs brings its keeper. */
function nearest(hazards: readonly Hazard[], jobs: readonly Job[]): Hazard[] {
  const open = jobs.filter(({ doneBy, skipped }) => doneBy === undefined && !skipped);
  const ids = new Set(open.flatMap(({ kind }) => hazardsAt(hazards, JOBS[kind].nearness).map(({ id }) => id)));
  return hazards.filter(({ id }) => ids.has(id));
}

const useStyles = makeStyles((theme) => ({
  stop: {
    paddingVertical: space.m,
    gap: space.m,
    borderBottomWidth: 1,
    borderBottomColor: theme.colors.line,
    marginHorizontal: -space.l,
    paddingHorizontal: space.l,
  },
  chosen: { backgroundColor: theme.colors.resting },
  // As high as a thumb, without standing further from the job below than the name alone would.
  who: {
    flexDirection: 'row',
    alignItems: 'center',
    columnGap: space.s,
    minHeight: target,
    marginVertical: -space.s,
  },
  // On one line: the name its keepers gave it makes way first.
  name: { flexShrink: 0 },
  // One line: a long name is cut short, its box says who it is.
  called: { flexShrink: 1 },
  // The tag stands in the margin, level with the name and the first job.
  tag: { position: 'absolute', left: -(target + space.xs + space.m), top: space.s + space.hair },
}));
