import { router } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { call, CallFailed } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { VENT_SIDES, type Container, type VentSide } from '@/core/housing/container';
import { sectionPlan } from '@/core/housing/section';
import { Button } from '../components/Button';
import { Choices } from '../components/Choices';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Title } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { FormField } from '../forms/FormField';
import { lengthCheck, lengthIn } from '../forms/checks';
import { space } from '../theme/tokens';
import { useLength } from '../words/useLength';

interface Values {
  code: string;
  room: string;
  shelf: string;
  length: string;
  width: string;
  height: string;
  depth: string;
  holes: string;
  holeDiameter: string;
  holeHeight: string;
}

const EMPTY: Values = {
  code: '',
  room: '',
  shelf: '',
  length: '',
  width: '',
  height: '',
  depth: '0',
  holes: '',
  holeDiameter: '3',
  holeHeight: '',
};

const SIDE_SETS: { value: string; title: string; sides: VentSide[] }[] = [
  { value: 'none', title: 'no holes', sides: [] },
  { value: 'two', title: 'left and right', sides: ['left', 'right'] },
  { value: 'four', title: 'all four sides', sides: VENT_SIDES.filter((side) => side !== 'lid' && side !== 'floor') },
  { value: 'lid', title: 'in the lid', sides: ['lid'] },
];

const NEW_SHELF = 'new';

/** A tub of the keeper's own, by its inside lengths. */
export function AddHomeScreen() {
  const length = useLength();
  const { shelves, load } = useHouse();
  const show = useLog((log) => log.show);
  const loading = useLoadState();
  const { control, handleSubmit, setError } = useForm<Values>({ defaultValues: EMPTY, mode: 'onTouched' });
  const [shape, setShape] = useState<Container['shape']>('box');
  const [lid, setLid] = useState<Container['lid']>('solid');
  const [sideSet, setSideSet] = useState('two');
  const [shelfId, setShelfId] = useState<string>();
  const values = { ...EMPTY, ...useWatch({ control }) };
  if (loading) return <Screen>{loading}</Screen>;

  const chosenShelf = shelfId ?? shelves[0]?.id ?? NEW_SHELF;
  const container = containerFrom(values, shape, lid, sideSet, (text) => lengthIn(text, length.unit));
  const depthMm = lengthIn(values.depth, length.unit) ?? 0;
  const sizeCheck = lengthCheck(length.unit, 5, 5000);

  const save = async (typed: Values) => {
    if (!container) return;
    try {
      const shelf =
        chosenShelf === NEW_SHELF
          ? (await call('addShelf', { body: { room: typed.room.trim(), name: typed.shelf.trim() } })).shelf.id
          : chosenShelf;
      setShelfId(shelf);
      const { home } = await call('addHome', {
        body: { code: typed.code.trim(), shelfId: shelf, container, substrateDepthMm: depthMm },
      });
      await load();
      show({ text: `${home.code} added.` });
      router.replace(`/homes/${home.id}`);
    } catch (error) {
      if (error instanceof CallFailed) {
        for (const { path, message } of error.fields) setError(fieldFor(path), { message });
      }
      show({ text: problemOf(error), isProblem: true });
      await load();
    }
  };

  return (
    <Screen actions={<Button grow title="Add this box" onPress={() => void handleSubmit(save)()} />}>
      <PaneHeader back="/homes" title="Homes" />
      <Title>Add a box</Title>
      <View style={{ gap: space.m, marginTop: space.m }}>
        <FormField
          control={control}
          name="code"
          label="Code on the shelf"
          hint="For example B3"
          check={needed('Write what the box is called.')}
        />
        <Heading>Shelf</Heading>
        <Choices
          label="Shelf"
          choices={[
            ...shelves.map(({ id, name }) => ({ value: id, title: name })),
            { value: NEW_SHELF, title: 'a new shelf' },
          ]}
          value={chosenShelf}
          onChange={setShelfId}
        />
        {chosenShelf === NEW_SHELF ? (
          <>
            <FormField control={control} name="room" label="Room" check={needed('Write the name of the room.')} />
            <FormField
              control={control}
              name="shelf"
              label="Name of the shelf"
              check={needed('Write the name of the shelf.')}
            />
          </>
        ) : null}
        <Heading>Shape</Heading>
        <Choices
          label="Shape"
          choices={[
            { value: 'box', title: 'box' },
            { value: 'cylinder', title: 'round' },
          ]}
          value={shape}
          onChange={setShape}
        />
        <Soft>Measure inside: what the animal has, not what the box takes.</Soft>
        <FormField
          control={control}
          name="length"
          label={`${shape === 'box' ? 'Length' : 'Diameter'} inside, ${length.unit}`}
          keyboard="decimal-pad"
          check={sizeCheck}
        />
        {shape === 'box' ? (
          <FormField
            control={control}
            name="width"
            label={`Width inside, ${length.unit}`}
            keyboard="decimal-pad"
            check={sizeCheck}
          />
        ) : null}
        <FormField
          control={control}
          name="height"
          label={`Height inside, ${length.unit}`}
          keyboard="decimal-pad"
          check={lengthCheck(length.unit, 5, 3000)}
        />
        <FormField control={control} name="depth" label={`Soil in it now, ${length.unit}`} keyboard="decimal-pad" />
        <Heading>Lid</Heading>
        <Choices
          label="Lid"
          choices={[
            { value: 'solid', title: 'solid' },
            { value: 'vented', title: 'vented' },
            { value: 'mesh', title: 'mesh' },
          ]}
          value={lid}
          onChange={setLid}
        />
        <Heading>Holes</Heading>
        <Choices label="Holes" choices={SIDE_SETS} value={sideSet} onChange={setSideSet} />
        {sideSet !== 'none' ? (
          <>
            <FormField
              control={control}
              name="holes"
              label="Holes in each side"
              keyboard="number-pad"
              check={countCheck}
            />
            <FormField
              control={control}
              name="holeDiameter"
              label={`Diameter of a hole, ${length.unit}`}
              keyboard="decimal-pad"
              check={lengthCheck(length.unit, 0.1, 1000)}
            />
            {sideSet !== 'lid' ? (
              <FormField
                control={control}
                name="holeHeight"
                label={`Height of the holes over the floor, ${length.unit}`}
                keyboard="decimal-pad"
                check={lengthCheck(length.unit, 0.1, 3000)}
              />
            ) : null}
          </>
        ) : null}
        {container ? (
          <MeasuredSection
            plan={sectionPlan(container, Math.min(depthMm, container.heightMm), null)}
            fit={null}
            subject="the new box"
          />
        ) : (
          <Body>The drawing shows here once the lengths are there.</Body>
        )}
      </View>
    </Screen>
  );
}

const needed = (problem: string) => (text: string) => text.trim() !== '' || problem;
const countCheck = (text: string) =>
  (/^\s*\d+\s*$/.test(text) && Number(text) >= 1 && Number(text) <= 2000) || 'A whole number from 1 to 2000.';

/** The container as typed so far; null until its lengths are there. */
function containerFrom(
  values: Values,
  shape: Container['shape'],
  lid: Container['lid'],
  sideSet: string,
  read: (text: string) => number | undefined,
): Container | null {
  const [long, width, heightMm] = [read(values.length), read(values.width), read(values.height)];
  if (long === undefined || heightMm === undefined) return null;
  const diameterMm = read(values.holeDiameter);
  const centreHeightMm = read(values.holeHeight);
  const count = Number(values.holes);
  const sides = SIDE_SETS.find((each) => each.value === sideSet)?.sides ?? [];
  const vents =
    diameterMm !== undefined && count >= 1
      ? sides.map((side) => ({
          side,
          shape: 'hole' as const,
          count,
          diameterMm,
          ...(side !== 'lid' && centreHeightMm !== undefined && { centreHeightMm }),
        }))
      : [];
  if (shape === 'cylinder') return { shape, diameterMm: long, heightMm, lid, vents };
  return width === undefined ? null : { shape, lengthMm: long, widthMm: width, heightMm, lid, vents };
}

/** The field of this form that a path of the request came from. */
function fieldFor(path: string): keyof Values {
  const last = path.split('.').at(-1);
  if (path.includes('vents'))
    return last === 'centreHeightMm' ? 'holeHeight' : last === 'count' ? 'holes' : 'holeDiameter';
  const fields: Record<string, keyof Values> = {
    lengthMm: 'length',
    diameterMm: 'length',
    widthMm: 'width',
    heightMm: 'height',
    substrateDepthMm: 'depth',
    room: 'room',
    name: 'shelf',
  };
  return fields[last ?? ''] ?? 'code';
}
