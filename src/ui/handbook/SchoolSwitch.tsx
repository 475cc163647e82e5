import { useState } from 'react';
import type { SchoolChoice } from '@/contract/store';
import type { School, SchoolTopic } from '@/core/profiles/schools';
import { Choices } from '../kit/Choices';
import { TOPIC_WORDS } from '@/words/schools';
import { SchoolPreview } from './SchoolPreview';

interface Props {
  topic: SchoolTopic;
  schools: readonly School[];
  /** For whom it is switched: a room, a kind, or one. */
  scope: SchoolChoice['scope'];
  about: string;
  /** The same in words: "every ground tarantula". */
  forWhom: string;
  /** All that was chosen so far. */
  choices: readonly SchoolChoice[];
}

/** The schools of one topic to choose from; what a choice would change is shown before it is made. */
export function SchoolSwitch({ topic, schools, scope, about, forWhom, choices }: Props) {
  const [wanted, setWanted] = useState<string>();
  const standing = choices.find((each) => each.scope === scope && each.about === about && each.topic === topic)?.school;
  const chosen = wanted ?? standing ?? '';
  const isAsked = wanted !== undefined && wanted !== (standing ?? '');
  const name = schools.find(({ id }) => id === chosen)?.name.toLowerCase() ?? 'as before';
  return (
    <>
      <Choices
        label={TOPIC_WORDS[topic]}
        choices={[{ value: '', title: 'as before' }, ...schools.map(({ id, name: title }) => ({ value: id, title }))]}
        value={chosen}
        onChange={setWanted}
      />
      {isAsked ? (
        <SchoolPreview
          wanted={{ scope, about, topic, school: wanted === '' ? null : wanted }}
          words={`${TOPIC_WORDS[topic]}: ${name}, for ${forWhom}.`}
          onDone={() => setWanted(undefined)}
        />
      ) : null}
    </>
  );
}
