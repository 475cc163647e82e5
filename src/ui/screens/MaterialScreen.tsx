import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useLog } from '@/client/log';
import { useStock } from '@/client/stock';
import type { MaterialId } from '@/core/substrate/material';
import { Button } from '../kit/Button';
import { LinkRow } from '../components/LinkRow';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Soft, Title } from '../components/Words';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { numberIn } from '@/core/measure/typedNumber';
import { numberCheck } from '../forms/checks';
import { space } from '../theme/tokens';

interface Values {
  looseDensityGPerL: string;
  waterHeldMlPerL: string;
  massG: string;
  soakWaterL: string;
  looseVolumeL: string;
}

/** The numbers of one material, as its bag says. */
export function MaterialScreen({ id }: { id: string }) {
  const stock = useStock();
  const material = stock.materials.find((each) => each.id === id);
  if (!material) {
    return (
      <Screen>
        <PaneHeader back="/store?part=boxes" title="Store" />
        <Body>{stock.problem ?? (stock.table ? 'There is no material of that name.' : 'Fetching the materials…')}</Body>
      </Screen>
    );
  }
  return <MaterialForm key={`${id} ${material.isOwn}`} material={material} reload={stock.load} />;
}

type Material = ReturnType<typeof useStock>['materials'][number];

function MaterialForm({ material, reload }: { material: Material; reload: () => Promise<void> }) {
  const show = useLog((log) => log.show);
  const { brick } = material;
  const form = useFields<Values>({
    looseDensityGPerL: String(material.looseDensityGPerL.value),
    waterHeldMlPerL: String(material.waterHeldMlPerL.value),
    massG: String(brick?.massG.value ?? ''),
    soakWaterL: String(brick?.soakWaterL.value ?? ''),
    looseVolumeL: String(brick?.looseVolumeL.value ?? ''),
  });
  const materialId = material.id as MaterialId;
  const keep = async (work: () => Promise<unknown>, text: string) => {
    try {
      await work();
      await reload();
      show({ text });
      router.replace('/store?part=boxes');
    } catch (error) {
      form.place(error);
    }
  };
  const save = (values: Values) =>
    keep(
      () =>
        call('changeMaterial', {
          params: { materialId },
          body: {
            looseDensityGPerL: numberIn(values.looseDensityGPerL) ?? 0,
            waterHeldMlPerL: numberIn(values.waterHeldMlPerL) ?? 0,
            ...(brick && {
              brick: {
                massG: numberIn(values.massG) ?? 0,
                soakWaterL: numberIn(values.soakWaterL) ?? 0,
                looseVolumeL: numberIn(values.looseVolumeL) ?? 0,
              },
            }),
          },
        }),
      `${material.name}: your own numbers are in force.`,
    );
  const field = (name: keyof Values, label: string, min: number, max: number) => (
    <FormField control={form.control} name={name} label={label} keyboard="decimal-pad" check={numberCheck(min, max)} />
  );
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button grow title="Keep these numbers" onPress={() => void form.handleSubmit(save)()} />
        </>
      }
    >
      <PaneHeader back="/store?part=boxes" title="Store" />
      <Title>{material.name}</Title>
      <Soft>{`Now reckoned with: ${material.looseDensityGPerL.basis}.`}</Soft>
      <LinkRow
        links={[{ title: 'How much is in the store', onPress: () => router.push(`/store/items/${material.id}`) }]}
      />
      <View style={{ gap: space.m, marginTop: space.m }}>
        {field('looseDensityGPerL', 'Mass of a litre, loose and dry, g', 5, 3000)}
        {field('waterHeldMlPerL', 'Water a litre holds without dripping, mL', 0, 1000)}
        {brick ? (
          <>
            {field('massG', 'Mass of a brick, g', 10, 20_000)}
            {field('soakWaterL', 'Water to soak a brick, L', 0.1, 100)}
            {field('looseVolumeL', 'Loose volume a brick gives, L', 0.1, 200)}
          </>
        ) : null}
        {material.isOwn ? (
          <LinkRow
            links={[
              {
                title: 'Back to the usual numbers',
                onPress: () =>
                  void keep(
                    () => call('resetMaterial', { params: { materialId } }),
                    `${material.name}: usual numbers.`,
                  ),
              },
            ]}
          />
        ) : null}
      </View>
    </Screen>
  );
}
