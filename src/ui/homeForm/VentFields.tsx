import { Controller, useFieldArray, useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { View } from 'react-native';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { Toggles } from '../kit/Toggles';
import { Heading, Soft } from '../components/Words';
import { FormField } from '../forms/FormField';
import { countCheck, lengthCheck, lengthIn } from '../forms/checks';
import { space } from '../theme/tokens';
import { SHAPES, SIDES } from '@/words/home';
import { useLength } from '@/words/useLength';
import { OpeningsChoice } from './OpeningsChoice';
import { NEW_VENTS, type HomeValues, type OpeningsKind } from './values';

interface Props {
  control: Control<HomeValues>;
  setValue: UseFormSetValue<HomeValues>;
}

/**
 * What a new opening is filled in with, to be measured and changed. Chosen here: holes of 3 mm at three quarters of the height stand
 * over most soils; a mesh of 1 mm takes four fifths of a lid and leaves its rim.
 */
const USUAL = { holeMm: 3, centreShare: 0.75, meshMm: 1, lidShare: 0.8 };

/** The openings of a box: which kind, and then group by group, each the same in some sides. */
export function VentFields({ control, setValue }: Props) {
  const length = useLength();
  const { fields, append, remove, replace } = useFieldArray({ control, name: 'vents' });
  const [long, wide, height] = useWatch({ control, name: ['length', 'width', 'height'] });
  const choose = (kind: OpeningsKind) => {
    setValue('openings', kind, { shouldValidate: true });
    const inUnit = (text: string, share: number) => {
      const mm = lengthIn(text, length.unit);
      return mm === undefined ? '' : length.short(Math.round(mm * share));
    };
    if (kind === 'none') replace([]);
    // Holes high in the walls, over the soil; a lid that is mesh but for its rim.
    if (kind === 'drilled')
      replace([{ ...NEW_VENTS, across: length.short(USUAL.holeMm), centre: inUnit(height, USUAL.centreShare) }]);
    if (kind === 'mesh') {
      const panel = {
        shape: 'panel' as const,
        sides: ['lid' as const],
        count: '1',
        isMeshed: true,
        aperture: length.short(USUAL.meshMm),
      };
      replace([
        {
          ...NEW_VENTS,
          ...panel,
          across: inUnit(long, USUAL.lidShare),
          tall: inUnit(wide === '' ? long : wide, USUAL.lidShare),
        },
      ]);
    }
  };
  return (
    <View style={{ gap: space.m }}>
      <Heading>Openings</Heading>
      <Controller
        control={control}
        name="openings"
        rules={{ validate: (value) => value !== '' || 'Say what lets the air in.' }}
        render={({ field, fieldState }) => (
          <OpeningsChoice value={field.value} onChange={choose} problem={fieldState.error?.message} />
        )}
      />
      {fields.length === 0 ? <Soft>No openings: closed but for its lid.</Soft> : null}
      {fields.map((field, index) => (
        <VentGroupFields
          key={field.id}
          index={index}
          control={control}
          setValue={setValue}
          onRemove={() => remove(index)}
        />
      ))}
      {fields.length > 0 ? (
        <Button
          rank="second"
          title="More openings"
          onPress={() => append({ ...NEW_VENTS, across: length.short(USUAL.holeMm) })}
        />
      ) : null}
    </View>
  );
}

function VentGroupFields({ index, control, setValue, onRemove }: Props & { index: number; onRemove: () => void }) {
  const length = useLength();
  const group = useWatch({ control, name: `vents.${index}` });
  const set = <Name extends keyof typeof group>(name: Name, value: (typeof group)[Name]) =>
    setValue(`vents.${index}.${name}` as `vents.${number}.shape`, value as never);
  const isHole = group.shape === 'hole';
  const inWall = group.sides.some((side) => side !== 'lid' && side !== 'floor');
  return (
    <View style={{ gap: space.m, paddingBottom: space.m }}>
      <Choices label="Kind of opening" choices={SHAPES} value={group.shape} onChange={(shape) => set('shape', shape)} />
      <Toggles label="In" choices={SIDES} values={group.sides} onChange={(sides) => set('sides', sides)} />
      <FormField
        control={control}
        name={`vents.${index}.count`}
        label="How many in each side"
        keyboard="number-pad"
        check={countCheck}
      />
      <FormField
        control={control}
        name={`vents.${index}.across`}
        label={`${isHole ? 'Diameter' : 'Width'} of one, ${length.unit}`}
        keyboard="decimal-pad"
        check={lengthCheck(length.unit, 0.1, 3000)}
      />
      {isHole ? null : (
        <FormField
          control={control}
          name={`vents.${index}.tall`}
          label={`Height of one, ${length.unit}`}
          keyboard="decimal-pad"
          check={lengthCheck(length.unit, 0.1, 3000)}
        />
      )}
      {inWall ? (
        <FormField
          control={control}
          name={`vents.${index}.centre`}
          label={`Their middle over the floor, ${length.unit}`}
          keyboard="decimal-pad"
          check={lengthCheck(length.unit, 0.1, 3000)}
        />
      ) : null}
      <Choices
        label="Mesh"
        choices={[
          { value: 'open', title: 'open' },
          { value: 'meshed', title: 'covered with mesh' },
        ]}
        value={group.isMeshed ? 'meshed' : 'open'}
        onChange={(value) => set('isMeshed', value === 'meshed')}
      />
      {group.isMeshed ? (
        <FormField
          control={control}
          name={`vents.${index}.aperture`}
          label={`Width of one mesh, ${length.unit}`}
          keyboard="decimal-pad"
          check={lengthCheck(length.unit, 0.01, 100)}
        />
      ) : null}
      <LinkRow links={[{ title: `Take away openings ${index + 1}`, onPress: onRemove }]} />
    </View>
  );
}
