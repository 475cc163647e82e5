import { useState } from 'react';
import { useHouse } from '@/client/house';
import { Choices } from '../kit/Choices';
import { Heading } from '../components/Words';
import { byGroup } from '@/words/profiles';

/** The kinds under their headings: the heading is chosen first, then the kind. None is chosen for the keeper. */
export function KindChoice({ profile, onChange }: { profile: string | undefined; onChange: (id: string) => void }) {
  const groups = byGroup(useHouse((house) => house.care.profiles));
  const [opened, setOpened] = useState<{ group: string; over: string | undefined }>();
  const chosen = groups.find(({ members }) => members.some(({ id }) => id === profile));
  // A heading that was tapped stays open until a kind is known otherwise.
  const shown = opened?.over === profile ? groups.find(({ group }) => group === opened?.group) : chosen;
  return (
    <>
      <Heading>Kind</Heading>
      <Choices
        label="Group"
        choices={groups.map(({ group }) => ({ value: group, title: group }))}
        value={shown?.group}
        onChange={(group) => {
          const [only, ...others] = groups.find((each) => each.group === group)?.members ?? [];
          if (only && others.length === 0) onChange(only.id);
          setOpened({ group, over: profile });
        }}
      />
      {shown ? (
        <Choices
          label="Kind"
          choices={shown.members.map(({ id, name }) => ({ value: id, title: name }))}
          value={profile}
          onChange={onChange}
        />
      ) : null}
    </>
  );
}
