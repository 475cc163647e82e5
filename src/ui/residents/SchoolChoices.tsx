import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useSchools } from '@/client/schools';
import type { Home, Resident } from '@/contract/records';
import type { SchoolChoice } from '@/contract/store';
import { contradictionsOf } from '@/core/plan/schoolChange';
import { defaultSchool, SCHOOL_TOPICS, type SchoolTopic } from '@/core/profiles/schools';
import { Choices } from '../kit/Choices';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { SchoolSwitch } from '../handbook/SchoolSwitch';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { CONTRADICTION_WORDS, TOPIC_WORDS } from '@/words/schools';

type Scope = SchoolChoice['scope'];

/** Ways of keeping on which keepers differ: chosen for this one, for all of its kind, or for its whole room. */
export function SchoolChoices({ resident, home }: { resident: Resident; home: Home }) {
  const { care, shelves } = useHouse();
  const { choices, load } = useSchools();
  const [scope, setScope] = useState<Scope>('resident');
  useEffect(() => void load(), [load]);
  const profile = care.of(resident);
  const shelf = shelves.find((each) => each.id === home.shelfId);
  const topics = SCHOOL_TOPICS.filter((topic) => profile.schools.filter((each) => each.topic === topic).length > 1);
  if (topics.length === 0 || !shelf || choices === null) return null;
  const about: Record<Scope, string> = { resident: resident.id, kind: resident.profile, room: shelf.roomId };
  const forWhom: Record<Scope, string> = {
    resident: calledWords(resident),
    kind: `every ${profile.name.toLowerCase()}`,
    room: `everybody in the ${shelf.room}`,
  };
  const chosenAt = (at: Scope, topic: SchoolTopic) =>
    choices.find((each) => each.scope === at && each.about === about[at] && each.topic === topic)?.school;
  const decides = (topic: SchoolTopic) =>
    (['resident', 'kind', 'room'] as const).find((at) => chosenAt(at, topic) !== undefined);
  const nameOf = (id: string | undefined) => profile.schools.find((each) => each.id === id)?.name ?? '';
  return (
    <View style={{ marginTop: space.xl, gap: space.m }}>
      <Heading>Schools</Heading>
      <Soft>
        Keepers differ on these. The nearest choice holds: this one before its kind, its kind before its room.
      </Soft>
      <Choices
        label="Choose for"
        choices={[
          { value: 'resident', title: 'this one' },
          { value: 'kind', title: 'its kind' },
          { value: 'room', title: 'its room' },
        ]}
        value={scope}
        onChange={setScope}
      />
      <Soft>{`Chosen for ${forWhom[scope]}.`}</Soft>
      {contradictionsOf({ profile, schools: resident.schools }).map((each) => (
        <Body key={each}>{`Against each other: ${CONTRADICTION_WORDS[each]} Both are kept as they were chosen.`}</Body>
      ))}
      {topics.map((topic) => {
        const schools = profile.schools.filter((each) => each.topic === topic);
        const from = decides(topic);
        const inForce = resident.schools[topic] ?? defaultSchool(profile, topic);
        const origin = from === undefined ? 'the usual' : `chosen for ${forWhom[from]}`;
        return (
          <View key={topic} style={{ gap: space.s }}>
            <Strong>{TOPIC_WORDS[topic]}</Strong>
            <SchoolSwitch
              key={scope}
              {...{ topic, schools, scope, choices }}
              about={about[scope]}
              forWhom={forWhom[scope]}
            />
            <Soft>{`In force: ${nameOf(inForce).toLowerCase()}, ${origin}.`}</Soft>
            {schools.map(({ id, name, why }) => (why === undefined ? null : <Soft key={id}>{`${name}: ${why}`}</Soft>))}
          </View>
        );
      })}
    </View>
  );
}
