import { router } from 'expo-router';
import { useState } from 'react';
import type { Control, UseFormSetValue } from 'react-hook-form';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { usePreferences } from '@/client/preferences';
import { useStock } from '@/client/stock';
import { USUAL_ROOM } from '@/core/climate/homeAir';
import { sectionPlan } from '@/core/housing/section';
import type { CareProfile } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Switch } from '../kit/Switch';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Toggles } from '../kit/Toggles';
import { Body, Heading, Soft, Title } from '../components/Words';
import { MeasuredSection } from '../drawings/MeasuredSection';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { lengthCheck, needed, numberCheck } from '../forms/checks';
import { space } from '../theme/tokens';
import { LID_FIT_WORDS, OPENS, SIDES, WALLS } from '@/words/home';
import { useLength } from '@/words/useLength';
import { ContentFields, NestFields } from './ContentFields';
import { fieldFor, readDepth, readHome, type ReadHome } from './reading';
import { HeatFields } from './HeatFields';
import { UsualSize } from './UsualSize';
import { VentFields } from './VentFields';
import { boxValues, NEW_SHELF, type HomeValues } from './values';

interface Props {
  title: string;
  action: string;
  back: '/homes' | `/homes/${string}`;
  initial: HomeValues;
  /** A box that stands already has its soil set by an entry, not here. */
  asksDepth: boolean;
  /** Writes what was read; throws CallFailed with the fields that were refused. */
  save: (values: HomeValues, read: ReadHome, shelfId: string) => Promise<void>;
  /** Who lives in it, and how warm its room is: what heat has to mind. C */
  profiles?: CareProfile[];
  roomC?: number | undefined;
  children?: React.ReactNode;
}

/** A box by its inside lengths, its openings, and what is in it; drawn as it is typed. */
export function HomeForm({ title, action, back, initial, asksDepth, save, profiles = [], roomC, children }: Props) {
  const length = useLength();
  const temperatureUnit = usePreferences((preferences) => preferences.temperatureUnit);
  const { shelves, load } = useHouse();
  const { mixes } = useStock();
  const form = useFields<HomeValues>(initial, fieldFor);
  const { control, values, handleSubmit, setValue, reset, getValues } = form;
  const [isBusy, setBusy] = useState(false);
  const read = readHome(values, length, temperatureUnit);
  const depthMm = readDepth(values, length);

  const submit = async (typed: HomeValues) => {
    if (!read || isBusy) return;
    setBusy(true);
    try {
      const shelfId =
        typed.shelfId === NEW_SHELF
          ? (await call('addShelf', { body: { room: typed.room.trim(), name: typed.shelf.trim() } })).shelf.id
          : typed.shelfId;
      setValue('shelfId', shelfId);
      await save(typed, read, shelfId);
    } catch (error) {
      form.place(error);
      await load();
    } finally {
      setBusy(false);
    }
  };

  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button grow disabled={isBusy} title={action} onPress={() => void handleSubmit(submit)()} />
        </>
      }
    >
      <PaneHeader back={back} title="Back" />
      <Title>{title}</Title>
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
          isNamedAbove
          label="Shelf"
          choices={[
            ...shelves.map(({ id, name }) => ({ value: id, title: name })),
            { value: NEW_SHELF, title: 'a new shelf' },
          ]}
          value={values.shelfId}
          onChange={(shelfId) => setValue('shelfId', shelfId)}
        />
        <LinkRow links={[{ title: 'Put up several shelves', onPress: () => router.push('/homes/shelves') }]} />
        {values.shelfId === NEW_SHELF ? (
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
        {asksDepth ? <UsualSize onPick={(size) => reset({ ...getValues(), ...boxValues(size, length) })} /> : null}
        <SizeFields control={control} values={values} setValue={setValue} />
        {asksDepth ? (
          <FormField control={control} name="depth" label={`Soil in it now, ${length.unit}`} keyboard="decimal-pad" />
        ) : null}
        <VentFields control={control} setValue={setValue} />
        <Heading>Lid</Heading>
        <Choices
          isNamedAbove
          label="Lid"
          choices={[
            { value: 'solid', title: 'solid' },
            { value: 'vented', title: 'vented' },
            { value: 'mesh', title: 'mesh' },
          ]}
          value={values.lid}
          onChange={(lid) => setValue('lid', lid)}
        />
        {values.lid === 'mesh' ? null : (
          <FormChoices
            control={control}
            name="lidFit"
            label="How the lid sits"
            choices={[{ value: '' as const, title: 'not said' }, ...LID_FIT_WORDS]}
          />
        )}
        <Heading>Opens</Heading>
        <Choices
          isNamedAbove
          label="Opens"
          choices={[{ value: '' as const, title: 'not said' }, ...OPENS]}
          value={values.opens}
          onChange={(opens) => setValue('opens', opens)}
        />
        {values.opens === 'front' ? (
          <FormField
            control={control}
            name="sill"
            label={`Wall under the door, ${length.unit}`}
            hint="Soil stands no higher than that."
            keyboard="decimal-pad"
            check={(text) => text.trim() === '' || lengthCheck(length.unit, 1, 3000)(text)}
          />
        ) : null}
        <Heading>Walls</Heading>
        <Choices
          isNamedAbove
          label="Walls"
          choices={[{ value: '' as const, title: 'not said' }, ...WALLS]}
          value={values.walls}
          onChange={(walls) => setValue('walls', walls)}
        />
        <Fold title="What is in it, and where it stands" isOpenAtFirst={!asksDepth}>
          <View style={{ gap: space.m }}>
            <Heading>Mix in it</Heading>
            <Choices
              isNamedAbove
              label="Mix in it"
              choices={[{ value: '', title: 'not said' }, ...mixes.map(({ id, name }) => ({ value: id, title: name }))]}
              value={values.mixId}
              onChange={(mixId) => setValue('mixId', mixId)}
            />
            <FormField
              control={control}
              name="litter"
              label={`Litter on top, ${length.unit}`}
              hint="Leave empty if nobody measured."
              keyboard="decimal-pad"
            />
            <Heading>Covered from outside</Heading>
            <Soft>Sides that stand against a wall or the next box: openings there pass no air.</Soft>
            <Toggles
              label="Covered"
              choices={SIDES}
              values={values.covered}
              onChange={(covered) => setValue('covered', covered)}
            />
            <FormField
              control={control}
              name="dish"
              label="Open water, cm²"
              hint="Leave empty to reckon with a usual dish where one is listed."
              keyboard="decimal-pad"
              check={(text) => text.trim() === '' || numberCheck(0, 20_000)(text)}
            />
            <HeatFields
              control={control}
              setValue={setValue}
              profiles={profiles}
              roomC={roomC ?? USUAL_ROOM.temperatureC}
            />
            <ContentFields control={control} setValue={setValue} />
            <NestFields control={control} setValue={setValue} />
            <FormField
              control={control}
              name="weightLimitKg"
              label="Weight the box bears, kg"
              hint="Leave empty if nobody knows."
              keyboard="decimal-pad"
              check={(text) =>
                text.trim() === '' || Number(text.replace(',', '.')) > 0 || 'A number of kilograms, more than 0.'
              }
            />
            <Heading>Quarantine</Heading>
            <Switch
              label="Kept apart from the others"
              value={values.isQuarantined}
              onChange={(isOn) => setValue('isQuarantined', isOn)}
            />
          </View>
        </Fold>
        {children}
        {read ? (
          <MeasuredSection
            plan={sectionPlan(
              {
                container: read.container,
                substrateDepthMm: Math.min(depthMm, read.container.heightMm),
                furniture: read.furniture,
                nest: read.nest ?? undefined,
                litterDepthMm: read.litterDepthMm ?? undefined,
              },
              null,
            )}
            fit={null}
            subject="the box"
          />
        ) : (
          <Body>The drawing shows here once the lengths are there.</Body>
        )}
      </View>
    </Screen>
  );
}

interface SizeProps {
  control: Control<HomeValues>;
  values: HomeValues;
  setValue: UseFormSetValue<HomeValues>;
}

function SizeFields({ control, values, setValue }: SizeProps) {
  const length = useLength();
  const sizeCheck = lengthCheck(length.unit, 5, 5000);
  const isBox = values.shape === 'box';
  return (
    <>
      <Heading>Shape</Heading>
      <Choices
        isNamedAbove
        label="Shape"
        choices={[
          { value: 'box', title: 'box' },
          { value: 'cylinder', title: 'round' },
        ]}
        value={values.shape}
        onChange={(shape) => setValue('shape', shape)}
      />
      <Soft>Measure inside: what the animal has, not what the box takes.</Soft>
      <FormField
        control={control}
        name="length"
        label={`${isBox ? 'Length' : 'Diameter'} inside, ${length.unit}`}
        keyboard="decimal-pad"
        check={sizeCheck}
      />
      {isBox ? (
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
      <Choices
        label="Walls upright or widening"
        choices={[
          { value: 'no', title: 'upright walls' },
          { value: 'yes', title: 'wider at the top' },
        ]}
        value={values.isTapered ? 'yes' : 'no'}
        onChange={(value) => setValue('isTapered', value === 'yes')}
      />
      {values.isTapered ? (
        <>
          <FormField
            control={control}
            name="topLength"
            label={`${isBox ? 'Length' : 'Diameter'} under the lid, ${length.unit}`}
            keyboard="decimal-pad"
            check={sizeCheck}
          />
          {isBox ? (
            <FormField
              control={control}
              name="topWidth"
              label={`Width under the lid, ${length.unit}`}
              keyboard="decimal-pad"
              check={sizeCheck}
            />
          ) : null}
        </>
      ) : null}
    </>
  );
}
