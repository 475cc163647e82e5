import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useSchools } from '@/client/schools';
import type { CareProfile } from '@/core/profiles/profile';
import { SCHOOL_TOPICS, type SchoolTopic } from '@/core/profiles/schools';
import { Choices } from '../kit/Choices';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { SchoolSwitch } from '../handbook/SchoolSwitch';
import { space } from '../theme/tokens';
import { TOPIC_WORDS } from '@/words/schools';

/** Every disagreement with both sides' reasons, and a switch for each room and kind; for one animal it is at its care. */
export function SchoolsScreen() {
  const { care, shelves, residents, homes } = useHouse();
  const { choices, load } = useSchools();
  const loading = useLoadState();
  const [where, setWhere] = useState('');
  useEffect(() => void load(), [load]);
  if (loading || choices === null) return <Screen>{loading}</Screen>;
  const lived = new Set(residents.map(({ homeId }) => homes.find(({ id }) => id === homeId)?.shelfId));
  const rooms = [...new Map(shelves.filter(({ id }) => lived.has(id)).map(({ roomId, room }) => [roomId, room]))];
  const kept = [...new Set(residents.map(({ profile }) => profile))];
  // While nobody lives here, what each side says can be read of every kind.
  const kinds = kept.length > 0 ? care.profiles.filter(({ id }) => kept.includes(id)) : care.profiles;
  const topicsOf = (profiles: readonly CareProfile[]) =>
    SCHOOL_TOPICS.filter((topic) => profiles.some((each) => schoolsOn(each, topic).length > 1));
  const room = rooms.find(([id]) => id === where);
  const kind = kinds.find(({ id }) => id === where);
  const about = room
    ? { scope: 'room' as const, about: room[0], words: `everybody in the ${room[1]}`, profiles: kinds }
    : kind
      ? { scope: 'kind' as const, about: kind.id, words: `every ${kind.name.toLowerCase()}`, profiles: [kind] }
      : null;
  const topics = topicsOf(about?.profiles ?? kinds);
  return (
    <Screen>
      <PaneHeader back="/handbook" title="Handbook" />
      <Title>Schools</Title>
      <Body>
        On these keepers differ, each with reasons. What a choice changes is shown before it is made. The nearest holds:
        one animal before its kind, a kind before its room. For one animal choose under “Kept as”.
      </Body>
      <View style={{ gap: space.s, marginTop: space.m }}>
        <Choices
          label="For whom"
          choices={[
            ...rooms.map(([id, name]) => ({ value: id, title: name })),
            ...kinds.filter((each) => topicsOf([each]).length > 0).map(({ id, name }) => ({ value: id, title: name })),
          ]}
          value={where}
          onChange={setWhere}
        />
        {about === null ? <Soft>Choose a room or a kind to switch one; below is what each side says.</Soft> : null}
      </View>
      {topics.map((topic) => {
        const schools = [
          ...new Map(
            (about?.profiles ?? kinds).flatMap((each) => schoolsOn(each, topic)).map((each) => [each.id, each]),
          ).values(),
        ];
        return (
          <View key={topic} style={{ gap: space.s, marginTop: space.xl }}>
            <Heading>{TOPIC_WORDS[topic]}</Heading>
            {schools.map(({ id, name, why, isDefault }) => (
              <View key={id}>
                <Strong>{`${name}${isDefault ? ', the usual' : ''}`}</Strong>
                {why === undefined ? null : <Body>{why}</Body>}
              </View>
            ))}
            {about ? (
              <SchoolSwitch
                key={about.about}
                {...{ topic, schools, choices }}
                scope={about.scope}
                about={about.about}
                forWhom={about.words}
              />
            ) : null}
          </View>
        );
      })}
    </Screen>
  );
}

const schoolsOn = (profile: CareProfile, topic: SchoolTopic) => profile.schools.filter((each) => each.topic === topic);
