import { router } from 'expo-router';
import { call } from '@/client/api';
import { boxesFor } from '@/client/boxes';
import { useHouse } from '@/client/house';
import { undoing, useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import { useNewBoxes } from '@/client/useNewBoxes';
import type { Resident } from '@/contract/records';
import { hatchlingMm } from '@/core/profiles/eggs';
import type { Stage } from '@/core/profiles/profile';
import { Body, Soft } from '../components/Words';
import { anyLength, headCountIn, headsCheck, lengthIn, orEmpty } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { sizeField, useFields } from '../forms/useFields';
import { NewBox } from '../housing/NewBox';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';

interface Props {
  resident: Resident;
  onDone: () => void;
}

const OFFERED_BOXES = 8;

interface PartValues {
  count: string;
  called: string;
  size: string;
  homeId: string;
  stage: Stage;
}

/** Some of the group to a box of their own; the record keeps where they came from. */
export function PartForm({ resident, onDone }: Props) {
  const { homes, residents, care, load } = useHouse();
  const show = useLog((log) => log.show);
  const isEggs = resident.form === 'eggs';
  const hatchling = care.of({ ...resident, stage: undefined }).stages.find((each) => each !== 'egg');
  const length = useLength();
  const form = useFields<PartValues>({ count: '', called: '', size: '', homeId: '', stage: resident.stage }, sizeField);
  const { control, values } = form;
  const { homeId, stage } = values;
  const hatches = isEggs && stage !== 'egg';
  const { measure, silhouette } = care.of({ ...resident, stage });
  const livesInSoil = !isEggs && ['isopod', 'springtail', 'millipede'].includes(silhouette);
  const typedMm = lengthIn(values.size, length.unit);
  const usualMm = hatches ? hatchlingMm(care.of({ ...resident, stage })) : null;
  const sizeMm = typedMm ?? usualMm ?? undefined;
  const newcomer = {
    ...resident,
    ...{ id: '', stage, headCount: headCountIn(values.count) ?? 1 },
    ...(hatches && sizeMm !== undefined && { [measure.takes]: sizeMm }),
  };
  // Hatchlings of which nobody knows a size are measured before boxes can be ranked for them.
  const isMeasured = !hatches || sizeMm !== undefined || measure.usualMm !== undefined;
  const others = homes.filter((home) => home.id !== resident.homeId);
  const best = isMeasured ? boxesFor(care, newcomer, others, residents).ranking.slice(0, OFFERED_BOXES) : [];
  const { boxesToGet, addBox } = useNewBoxes();
  const isTold = isMeasured && headCountIn(values.count) !== undefined;
  const toGet = boxesToGet(isTold ? newcomer : null, homeId, homes.find(({ id }) => id === resident.homeId)?.shelfId);
  const { newBox, shelf } = toGet;
  const codeOf = (id: string) => homes.find((home) => home.id === id)?.code ?? '?';
  const chosen = newBox?.home ?? homes.find(({ id }) => id === homeId);
  const act = newBox ? `Add it as ${newBox.home.code} and move them` : `Move to ${chosen?.code}`;
  const save = async (typed: PartValues) => {
    const box = newBox ? await addBox(newBox.home) : chosen;
    if (!box) return;
    // Whoever is refused after that finds it chosen.
    form.setValue('homeId', box.id);
    const count = headCountIn(typed.count) ?? 0;
    const called = typed.called.trim();
    const measured = hatches && typedMm !== undefined ? { [measure.takes]: typedMm } : {};
    const body = { count, homeId: box.id, stage, ...measured, ...(called && { called }), ...keeperField() };
    const { resident: part, entry } = await call('partResident', { params: { id: resident.id }, body });
    await load();
    show({ text: `${count} moved to ${box.code}.`, ...undoing(entry.id) });
    onDone();
    router.push(`/residents/${part.id}`);
  };
  return (
    <Form
      form={form}
      act={chosen ? act : 'Choose a box first'}
      disabled={!chosen || (newBox !== undefined && !shelf)}
      save={save}
    >
      <FormField
        control={control}
        name="count"
        label="How many to take out"
        check={headsCheck}
        steps={{ least: 1, most: resident.headCount ?? 1_000_000 }}
      />
      {isEggs && hatchling ? (
        <FormChoices
          control={control}
          name="stage"
          label="What they are"
          choices={[
            { value: 'egg' as const, title: 'eggs' },
            { value: hatchling, title: `hatched, ${hatchling}` },
          ]}
        />
      ) : null}
      {livesInSoil ? (
        <Soft>Take some of the old soil along: it holds their young, and its droppings feed them.</Soft>
      ) : null}
      <FormField control={control} name="called" label="What you call them, if anything" />
      {hatches ? (
        <FormField
          control={control}
          name="size"
          label={`${capital(measure.name)} of one, ${length.unit}`}
          check={orEmpty(anyLength(length.unit))}
          hint={usualMm === null && !measure.usualMm ? 'Boxes are ranked by it.' : 'Leave empty for what is usual.'}
          keyboard="decimal-pad"
        />
      ) : null}
      {!isMeasured ? null : best.length === 0 ? (
        <Body>{`No box of yours is free.${isTold ? '' : ' Say how many, and sizes to get are shown.'}`}</Body>
      ) : (
        <FormChoices
          control={control}
          name="homeId"
          label="To which box, the best first"
          choices={best.map((each) => ({
            value: each.homeId,
            title: `${codeOf(each.homeId)}${each.verdict === 'fail' ? ', does not fit' : each.drill ? ', once drilled' : ''}`,
          }))}
        />
      )}
      <NewBox
        {...toGet}
        isOpen={!best.some(({ verdict }) => verdict !== 'fail')}
        onChoose={(id) => form.setValue('homeId', id)}
      />
    </Form>
  );
}
