import { router } from 'expo-router';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import type { Resident } from '@/contract/records';
import { ListRow } from '../kit/ListRow';
import { Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { Cautions } from './Cautions';

/** Who it is, how it is kept, what its papers say, and whom to ask when something is wrong. */
export function CareTab({ resident }: { resident: Resident }) {
  const care = useHouse((house) => house.care);
  const { id } = resident;
  const rows = [
    {
      title: 'Who it is',
      about: 'its names, where it came from, one or several',
      open: () => router.push(`/residents/${id}/who`),
    },
    {
      title: `Kept as ${care.of(resident).name.toLowerCase()}`,
      about: 'the numbers it is kept by, and whose practice they are',
      open: () => router.push(`/residents/${id}/care`),
    },
    {
      title: 'Care card',
      about: 'the species from danger to breeding',
      open: () => router.push(`/handbook/${encodeURIComponent(resident.scientificName)}`),
    },
    {
      title: 'Something wrong',
      about: 'from a sign to likely causes',
      open: () => router.push(`/residents/${id}/trouble`),
    },
    {
      title: 'Papers',
      about: 'what the law asks for, and when it ends',
      open: () => router.push(`/residents/${id}/papers`),
    },
  ];
  return (
    <View style={{ marginTop: space.m }}>
      {rows.map(({ title, about, open }) => (
        <ListRow key={title} label={title} onPress={open}>
          <Strong>{title}</Strong>
          <Soft>{about}</Soft>
        </ListRow>
      ))}
      <Cautions who={resident} />
    </View>
  );
}
