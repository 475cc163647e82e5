import { View } from 'react-native';
import type { SitterSheet } from '@/contract/plan';
import { NEVER_OPEN_WORDS, sitterTask } from '@/words/sheet';
import { CodeTag } from '../components/CodeTag';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Name, Soft, Strong } from '../components/Words';
import { space, stroke } from '../theme/tokens';
import { dateWords, weekday } from '@/words/days';

type Stop = SitterSheet['visits'][number]['stops'][number];

/** A day on the sheet: "Monday 14 December". */
const sheetDay = (day: string) => `${weekday(day)} ${dateWords(day)}`;

/** The sheet itself: who to call, what must never be opened, and day by day what to do. */
export function SheetBody({ sheet, forSitter }: { sheet: SitterSheet; forSitter: boolean }) {
  const styles = useStyles();
  const { visits, before, neverOpen, needsKeeper, stock, call: phone } = sheet;
  const missing = stock.filter(({ needed, have }) => have === null || have < needed);
  return (
    <View style={{ gap: space.m }}>
      {phone === null ? null : (
        <View style={styles.loud}>
          <Strong>{`If anything is wrong: ${phone}`}</Strong>
          <Body>A bite, a sting, trouble breathing: the emergency services first.</Body>
        </View>
      )}
      {neverOpen.length > 0 ? (
        <View style={styles.loud}>
          <Heading>Never open</Heading>
          {neverOpen.map(({ code, scientificName, why, until }) => (
            <Body key={`${code} ${scientificName}`}>
              {`${code}  `}
              <Name>{scientificName}</Name>
              {`: ${NEVER_OPEN_WORDS[why]}${until === null ? '' : `, until about ${sheetDay(until)}`}`}
            </Body>
          ))}
        </View>
      ) : null}
      {needsKeeper.length > 0 ? (
        <Body>
          {`Cannot wait, and must not be opened by a sitter: ${needsKeeper.map(({ code }) => code).join(', ')}. Somebody who knows these has to come.`}
        </Body>
      ) : null}
      {forSitter ? null : (
        <>
          <Heading>Before leaving</Heading>
          {before.length === 0 ? <Soft>Nothing more than the walk.</Soft> : null}
          {before.map((visit) => (
            <Visit key={visit.on} {...visit} />
          ))}
        </>
      )}
      <Heading>{forSitter ? 'What to do' : 'Visits of a sitter'}</Heading>
      {visits.length === 0 ? <Body>No box needs anything while you are away.</Body> : null}
      {visits.map((visit) => (
        <Visit key={visit.on} {...visit} />
      ))}
      <Soft>{`Everything else waits: ${sheet.waits} jobs.`}</Soft>
      {stock.length > 0 ? (
        <>
          <Heading>Food for the visits</Heading>
          {stock.map(({ name, needed, have, unit }) => (
            <Body
              key={name}
            >{`${name}: ${needed} ${unit}${have === null ? '' : `, ${Math.floor(have)} in the store`}`}</Body>
          ))}
          {missing.length > 0 && !forSitter ? (
            <Strong>{`Not enough in the store: ${missing.map(({ name }) => name).join('; ')}`}</Strong>
          ) : null}
        </>
      ) : null}
    </View>
  );
}

function Visit({ on, stops }: { on: string; stops: readonly Stop[] }) {
  const styles = useStyles();
  return (
    <View style={{ gap: space.s }}>
      <Strong style={styles.day}>{sheetDay(on)}</Strong>
      {stops.map((stop) => (
        <View key={stop.residentId} style={styles.stop}>
          <CodeTag code={stop.code} />
          <View style={{ flex: 1 }}>
            <Name>{stop.scientificName}</Name>
            <Soft>{`${stop.room}, ${stop.shelf}`}</Soft>
            {stop.kinds.map((kind) => (
              <Body key={kind}>{sitterTask(kind, stop)}</Body>
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  loud: {
    gap: space.xs,
    padding: space.m,
    borderWidth: stroke.mark,
    borderColor: theme.colors.clay,
  },
  day: { marginTop: space.s },
  stop: {
    flexDirection: 'row',
    gap: space.m,
    paddingBottom: space.s,
    borderBottomWidth: stroke.thin,
    borderBottomColor: theme.colors.line,
  },
}));
