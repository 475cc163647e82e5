import { router } from 'expo-router';
import { View } from 'react-native';
import { useStock } from '@/client/stock';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../components/ListRow';
import { useLoadState } from '../components/LoadState';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { FreeBoxes } from '../store/FreeBoxes';
import { ShoppingList } from '../store/ShoppingList';
import { space } from '../theme/tokens';
import { litres } from '../words/home';

/** What the house has and needs: boxes to buy, and what homes are filled with. */
export function StoreScreen({ chosenMaterial }: { chosenMaterial?: string | undefined }) {
  const { materials, mixes, problem } = useStock();
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <Screen>
      <Title>Store</Title>
      {problem === null ? null : <Body>{problem}</Body>}
      <ShoppingList />
      <FreeBoxes />
      <View style={{ marginTop: space.xl }}>
        <Heading>Materials</Heading>
        <Soft>Loose and dry. Set your own numbers where your bag says otherwise.</Soft>
        {materials.map((material) => (
          <ListRow
            key={material.id}
            label={`${material.name}${material.isOwn ? ', your own numbers' : ''}`}
            onPress={() => router.push(`/store/${material.id}`)}
            isChosen={material.id === chosenMaterial}
          >
            <Strong>{material.name}</Strong>
            <Soft>
              {`${material.looseDensityGPerL.value} g a litre, holds ${litres(material.waterHeldMlPerL.value / 1000)}; ${material.looseDensityGPerL.basis}`}
            </Soft>
          </ListRow>
        ))}
      </View>
      <View style={{ marginTop: space.xl, gap: space.s }}>
        <Heading>Mixes</Heading>
        {mixes.map(({ id, name, recipe, basis }) => (
          <View key={id}>
            <Strong>{name}</Strong>
            <Soft>{`${recipe.map((part) => part.parts).join(' : ')} by volume, ${basis}`}</Soft>
          </View>
        ))}
      </View>
      <LinkRow links={[{ title: 'Build sheet for several homes', onPress: () => router.push('/build') }]} />
    </Screen>
  );
}
