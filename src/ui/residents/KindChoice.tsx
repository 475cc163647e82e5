import { useHouse } from '@/client/house';
import { Choices } from '../components/Choices';
import { Heading } from '../components/Words';
import { byGroup } from '../words/profiles';

/** The kinds under their headings: the heading is chosen first, then the kind. */
export function KindChoice({ profile, onChange }: { profile: string; onChange: (id: string) => void }) {
  const groups = byGroup(useHouse((house) => house.care.profiles));
  const present = groups.find(({ members }) => members.some(({ id }) => id === profile)) ?? groups[0];
  return (
    <>
      <Heading>Kind</Heading>
      <Choices
        label="Group"
        choices={groups.map(({ group }) => ({ value: group, title: group }))}
        value={present?.group}
        onChange={(chosen) => {
          const first = groups.find(({ group }) => group === chosen)?.members[0];
          if (first && chosen !== present?.group) onChange(first.id);
        }}
      />
      <Choices
        label="Kind"
        choices={(present?.members ?? []).map(({ id, name }) => ({ value: id, title: name }))}
        value={profile}
        onChange={onChange}
      />
    </>
  );
}
