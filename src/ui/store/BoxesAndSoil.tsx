import { router } from 'expo-router';
import { View } from 'react-native';
import { useStock } from '@/client/stock';
import { useStoreBook } from '@/client/storeBook';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../kit/ListRow';
import { Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { amountWords } from '@/words/food';
import { litres } from '@/words/home';
import { Failed } from '../kit/Failed';
import { FreeBoxes } from './FreeBoxes';
import { ShoppingList } from './ShoppingList';

/** Boxes to buy and boxes that stand free, and what homes are filled with. */
export function BoxesAndSoil({ chosenMaterial }: { chosenMaterial: string | undefined }) {
  const { materials, mixes, problem, load } = useStock();
  const { lines } = useStoreBook();
  const inStore = (id: string) => {
    const line = lines.find((each) => each.item === id);
    return line ? `${amountWords(line.onHand, 'L')} in the store` : 'none written down in the store';
  };
  return (
    <View>
      {problem === null ? null : <Failed problem={problem} again={() => void load()} />}
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
            <Soft>{inStore(material.id)}</Soft>
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
    </View>
  );
}
