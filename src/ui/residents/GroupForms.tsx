import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { boxesFor } from '@/client/fitting';
import { problemOf, useHouse } from '@/client/house';
import { undoing, useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import type { Resident } from '@/contract/records';
import { parseLength } from '@/core/measure/length';
import { hatchlingMm } from '@/core/profiles/eggs';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { Body, Soft } from '../components/Words';
import { headCountIn, INSTAR_PROBLEM, instarIn } from '../forms/checks';
import { useTyped } from '../forms/useTyped';
import { space } from '../theme/tokens';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';
import { DayField, useDay } from './DayField';

interface Props {
  resident: Resident;
  onDone: () => void;
}

/** A field for a whole number. */
function useCount(read = headCountIn, problem = 'A whole number from 1 up.') {
  const typed = useTyped();
  return {
    ...typed,
    /** The number; undefined, and said so, where there is none. */
    read: () => {
      const count = read(typed.text);
      if (count === undefined) typed.refuse(problem);
      return count;
    },
  };
}

/** "12 of 15 are now in instar 4": as it is said, so it is written. */
export function InstarForm({ resident, onDone }: Props) {
  const write = useLog((log) => log.write);
  const count = useCount();
  const instar = useCount(instarIn, INSTAR_PROBLEM);
  const day = useDay();
  const save = async () => {
    const [heads, step] = [count.read(), instar.read()];
    if (heads === undefined || step === undefined) return;
    const entry = { kind: 'moulted', residentId: resident.id, count: heads, instar: step, ...day.field } as const;
    if (await write(entry, `${calledWords(resident)}: ${heads} in instar ${step}.`)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Field
        label={`How many of the ${resident.headCount ?? ''} are there now`.replace('  ', ' ')}
        {...count.field}
        hint="With those that were there before."
        keyboard="number-pad"
      />
      <Field
        label="In which instar"
        {...instar.field}
        hint="The first one out of the egg is 1."
        keyboard="number-pad"
      />
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}

/** All the eggs that will hatch have hatched: what is left is a group from now on. */
export function HatchForm({ resident, onDone }: Props) {
  const write = useLog((log) => log.write);
  const length = useLength();
  const { measure } = useHouse((house) => house.care).of({ ...resident, stage: undefined });
  const count = useCount();
  const typed = useTyped();
  const day = useDay();
  const save = async () => {
    const heads = count.read();
    const size = typed.isEmpty ? null : parseLength(typed.text, length.unit);
    if (size && !size.ok) return typed.refuse(size.problem);
    if (heads === undefined) return;
    const measured = size ? { [measure.takes]: size.mm } : {};
    const entry = { kind: 'hatched', residentId: resident.id, headCount: heads, ...measured, ...day.field } as const;
    if (await write(entry, `${calledWords(resident)}: ${heads} hatched.`)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <Soft>
        Once all that will hatch have hatched. While only some are out, move those to a box of their own with “Take some
        out”.
      </Soft>
      <DayField day={day} />
      <Field label="How many hatched" {...count.field} keyboard="number-pad" />
      <Field
        label={`${capital(measure.name)} of one, ${length.unit}`}
        {...typed.field}
        hint="Leave empty for what is usual."
        keyboard="decimal-pad"
      />
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}

const OFFERED_BOXES = 8;

/** Some of the group to a box of their own; the record keeps where they came from. */
export function PartForm({ resident, onDone }: Props) {
  const { homes, residents, care, load } = useHouse();
  const show = useLog((log) => log.show);
  const count = useCount();
  const [called, setCalled] = useState('');
  const [homeId, setHomeId] = useState<string>();
  const isEggs = resident.form === 'eggs';
  const hatchling = care.of({ ...resident, stage: undefined }).stages.find((each) => each !== 'egg');
  const [stage, setStage] = useState(resident.stage);
  const length = useLength();
  const size = useTyped();
  const hatches = isEggs && stage !== 'egg';
  const { measure } = care.of({ ...resident, stage });
  const read = size.isEmpty ? null : parseLength(size.text, length.unit);
  const usualMm = hatches ? hatchlingMm(care.of({ ...resident, stage })) : null;
  const sizeMm = read?.ok ? read.mm : (usualMm ?? undefined);
  const newcomer = {
    ...resident,
    ...{ id: '', stage, headCount: headCountIn(count.text) ?? 1 },
    ...(hatches && sizeMm !== undefined && { [measure.takes]: sizeMm }),
  };
  // Hatchlings of which nobody knows a size are measured before boxes can be ranked for them.
  const isMeasured = !hatches || sizeMm !== undefined || measure.usualMm !== undefined;
  const others = homes.filter((home) => home.id !== resident.homeId);
  const best = isMeasured ? boxesFor(care, newcomer, others, residents).ranking.slice(0, OFFERED_BOXES) : [];
  const codeOf = (id: string) => homes.find((home) => home.id === id)?.code ?? '?';
  const save = async () => {
    const heads = count.read();
    if (read && !read.ok) return size.refuse(read.problem);
    if (heads === undefined || homeId === undefined) return;
    try {
      const name = called.trim();
      const measured = hatches && read ? { [measure.takes]: read.mm } : {};
      const body = { count: heads, homeId, stage, ...measured, ...(name && { called: name }), ...keeperField() };
      const { resident: part, entry } = await call('partResident', { params: { id: resident.id }, body });
      await load();
      show({ text: `${heads} moved to ${codeOf(homeId)}.`, ...undoing(entry.id) });
      onDone();
      router.push(`/residents/${part.id}`);
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={{ gap: space.m }}>
      <Field label="How many to take out" {...count.field} keyboard="number-pad" />
      {isEggs && hatchling ? (
        <Choices
          label="What they are"
          choices={[
            { value: 'egg' as const, title: 'eggs' },
            { value: hatchling, title: `hatched, ${hatchling}` },
          ]}
          value={stage}
          onChange={setStage}
        />
      ) : null}
      <Field label="What you call them, if anything" value={called} onChange={setCalled} />
      {hatches ? (
        <Field
          label={`${capital(measure.name)} of one, ${length.unit}`}
          {...size.field}
          hint={usualMm === null && !measure.usualMm ? 'Boxes are ranked by it.' : 'Leave empty for what is usual.'}
          keyboard="decimal-pad"
        />
      ) : null}
      {!isMeasured ? null : best.length === 0 ? (
        <Body>No box is free for them. Add one on the Wall.</Body>
      ) : (
        <Choices
          label="To which box, the best first"
          choices={best.map((each) => ({
            value: each.homeId,
            title: `${codeOf(each.homeId)}${each.verdict === 'fail' ? ', does not fit' : ''}`,
          }))}
          value={homeId}
          onChange={setHomeId}
        />
      )}
      <Button
        title={homeId === undefined ? 'Choose a box first' : `Move to ${codeOf(homeId)}`}
        disabled={homeId === undefined}
        onPress={() => void save()}
      />
    </View>
  );
}

/** Another group of the same kind comes in, and the two are one. */
export function JoinForm({ resident, onDone }: Props) {
  const { residents, homes, load } = useHouse();
  const show = useLog((log) => log.show);
  const [otherId, setOtherId] = useState<string>();
  const others = residents.filter((each) => each.id !== resident.id && each.form !== 'single');
  const same = others.filter((each) => each.scientificName === resident.scientificName);
  const save = async () => {
    if (otherId === undefined) return;
    try {
      const { entry } = await call('joinResident', {
        params: { id: resident.id },
        body: { otherId, ...keeperField() },
      });
      await load();
      show({ text: `${calledWords(resident)}: joined.`, ...undoing(entry.id) });
      onDone();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const codeOf = (each: Resident) => homes.find((home) => home.id === each.homeId)?.code ?? '?';
  return (
    <View style={{ gap: space.m }}>
      <Soft>
        Only groups of its own kind come in: of others the young could not be told apart, and nobody could say any more
        what is what.
      </Soft>
      {same.length === 0 ? (
        <Body>{`There is no other group of ${resident.scientificName} here.`}</Body>
      ) : (
        <>
          <Choices
            label="Which group comes in"
            choices={same.map((each) => ({ value: each.id, title: `${codeOf(each)} ${calledWords(each)}` }))}
            value={otherId}
            onChange={setOtherId}
          />
          <Button title="Make them one" disabled={otherId === undefined} onPress={() => void save()} />
        </>
      )}
    </View>
  );
}
