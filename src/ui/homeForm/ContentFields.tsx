import { useFieldArray, useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { View } from 'react-native';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Switch } from '../kit/Switch';
import { LinkRow } from '../components/LinkRow';
import { Heading, Soft } from '../components/Words';
import { FormField } from '../forms/FormField';
import { countCheck, lengthCheck } from '../forms/checks';
import { space } from '../theme/tokens';
import { FURNITURE } from '@/words/home';
import { useLength } from '@/words/useLength';
import { NEW_PIECE, NEW_ROOM, type HomeValues } from './values';

interface Props {
  control: Control<HomeValues>;
  setValue: UseFormSetValue<HomeValues>;
}

/** What stands in a box: hides, bark, branches, dish; it may be left unsaid. */
export function ContentFields({ control, setValue }: Props) {
  const { fields, append, remove } = useFieldArray({ control, name: 'pieces' });
  const isKnown = useWatch({ control, name: 'knowsContents' });
  return (
    <View style={{ gap: space.m }}>
      <Heading>What is in it</Heading>
      <Switch
        label="All that stands in it is listed here"
        value={isKnown}
        onChange={(isOn) => setValue('knowsContents', isOn)}
      />
      {isKnown ? (
        <>
          {fields.length === 0 ? <Soft>Nothing stands in it.</Soft> : null}
          {fields.map((field, index) => (
            <PieceFields
              key={field.id}
              index={index}
              control={control}
              setValue={setValue}
              onRemove={() => remove(index)}
            />
          ))}
          <Button rank="second" title="Another piece" onPress={() => append(NEW_PIECE)} />
        </>
      ) : null}
    </View>
  );
}

const HANGS = new Set(['branch', 'perch', 'bark-round', 'rough-strip', 'roof-net']);

function PieceFields({ index, control, setValue, onRemove }: Props & { index: number; onRemove: () => void }) {
  const length = useLength();
  const piece = useWatch({ control, name: `pieces.${index}` });
  return (
    <View style={{ gap: space.m, paddingBottom: space.m }}>
      <Choices
        label={`Piece ${index + 1}`}
        choices={FURNITURE}
        value={piece.kind}
        onChange={(kind) => setValue(`pieces.${index}.kind`, kind)}
      />
      <FormField
        control={control}
        name={`pieces.${index}.count`}
        label="How many"
        keyboard="number-pad"
        check={countCheck}
      />
      {HANGS.has(piece.kind) ? (
        <FormField
          control={control}
          name={`pieces.${index}.height`}
          label={`Lowest place to hang, over the floor, ${length.unit}`}
          hint="Leave empty if nobody measured."
          keyboard="decimal-pad"
        />
      ) : null}
      {piece.kind === 'bottle' ? (
        <Switch
          label="Its neck is stopped"
          value={piece.isStopped}
          onChange={(isOn) => setValue(`pieces.${index}.isStopped`, isOn)}
        />
      ) : null}
      <LinkRow links={[{ title: `Take away piece ${index + 1}`, onPress: onRemove }]} />
    </View>
  );
}

/** Chambers, tube and outworld, for a box that is an ant nest. */
export function NestFields({ control, setValue }: Props) {
  const length = useLength();
  const { fields, append, remove } = useFieldArray({ control, name: 'chambers' });
  const [isNest, hasOutworld] = useWatch({ control, name: ['isNest', 'hasOutworld'] });
  return (
    <View style={{ gap: space.m }}>
      <Heading>Ant nest</Heading>
      <Switch label="It is a nest with chambers" value={isNest} onChange={(isOn) => setValue('isNest', isOn)} />
      {isNest ? (
        <>
          {fields.map((field, index) => (
            <View key={field.id} style={{ gap: space.s }}>
              <RoomFields control={control} name={`chambers.${index}`} title={`Chamber ${index + 1}`} />
              {fields.length > 1 ? (
                <LinkRow links={[{ title: `Take away chamber ${index + 1}`, onPress: () => remove(index) }]} />
              ) : null}
            </View>
          ))}
          <Button rank="second" title="Another chamber" onPress={() => append(NEW_ROOM)} />
          <FormField
            control={control}
            name="tubeBore"
            label={`Bore of the tube, ${length.unit}`}
            hint="Leave empty if there is none."
            keyboard="decimal-pad"
          />
          <Switch
            label="It has an outworld of its own"
            value={hasOutworld}
            onChange={(isOn) => setValue('hasOutworld', isOn)}
          />
          {hasOutworld ? <RoomFields control={control} name="outworld" title="Outworld" /> : null}
        </>
      ) : null}
    </View>
  );
}

function RoomFields({
  control,
  name,
  title,
}: {
  control: Control<HomeValues>;
  name: `chambers.${number}` | 'outworld';
  title: string;
}) {
  const length = useLength();
  const check = lengthCheck(length.unit, 2, 3000);
  return (
    <View style={{ gap: space.s }}>
      <Soft>{`${title}, inside, ${length.unit}`}</Soft>
      <View style={{ flexDirection: 'row', gap: space.s }}>
        {(['length', 'width', 'height'] as const).map((side) => (
          <View key={side} style={{ flex: 1 }}>
            <FormField
              control={control}
              name={`${name}.${side}`}
              label={`${title} ${side}`}
              keyboard="decimal-pad"
              check={check}
            />
          </View>
        ))}
      </View>
    </View>
  );
}
