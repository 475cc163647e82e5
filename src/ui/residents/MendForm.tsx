import { useState } from 'react';
import { ScrollView } from 'react-native';
import { call } from '@/client/api';
import { useGone } from '@/client/gone';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import type { Entry } from '@/contract/storedEntries';
import { formatLengthNumber, parseLength } from '@/core/measure/length';
import { numberIn } from '@/core/measure/typedNumber';
import { mendFields, type MendField } from '@/words/mending';
import { calledWords } from '@/words/residents';
import type { LengthWords } from '@/words/lengths';
import { useLength } from '@/words/useLength';
import { makeStyles } from '../components/useStyles';
import { Body } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { Choices } from '../kit/Choices';
import { DayInput } from '../kit/DayInput';
import { ListInput } from '../kit/ListInput';
import { Sheet } from '../kit/Sheet';
import { space } from '../theme/tokens';

type Values = Record<string, string>;

interface Props {
  entry: Entry;
  /** What it says now. */
  words: string;
  onDone: () => void;
}

/** Puts an entry right: its day, whom it is about, its numbers and words. How it stood before stays readable. */
export function MendForm({ entry, words, onDone }: Props) {
  const styles = useStyles();
  const length = useLength();
  const { residents, homes, care, round, load } = useHouse();
  const show = useLog((log) => log.show);
  const gone = useGone((house) => house.gone);
  // One that is here no longer is named too: what was written of it can still be put right.
  const subject = [...residents, ...gone].find(({ id }) => id === entry.residentId);
  const nameable = subject && !residents.includes(subject) ? [subject, ...residents] : residents;
  const kept = subject && care.of(subject);
  const fields = mendFields(entry, kept?.measure.takes ?? 'legSpanMm', subject?.form === 'single');
  const form = useFields<Values>(
    {
      note: entry.note ?? '',
      ...Object.fromEntries(fields.map((field) => [field.name, textOf(entry, field, length)])),
    },
    (path) => path,
  );
  const { control } = form;
  const [on, setOn] = useState(entry.on);
  const [about, setAbout] = useState(entry.residentId ?? '');
  const { stage: stageBefore } = entry.data as { stage?: string };
  const [stage, setStage] = useState(stageBefore);
  const boxOf = (homeId: string) => homes.find(({ id }) => id === homeId)?.code ?? '';

  const save = async (values: Values) => {
    const touched = fields.filter((field) => values[field.name] !== textOf(entry, field, length));
    const set = Object.fromEntries(
      touched.map((field) => [field.name, valueOf(values[field.name] ?? '', field, length)]),
    );
    const note = (values['note'] ?? '').trim();
    const change = {
      ...(on !== entry.on && { on }),
      ...(about !== entry.residentId && entry.residentId !== null && { residentId: about }),
      ...(note !== (entry.note ?? '') && { note: note === '' ? null : note }),
      set: { ...set, ...(stage !== stageBefore && stage !== undefined && { stage }) },
      ...(keeperField().keeper !== undefined && { by: keeperField().keeper }),
    };
    await call('mendEntry', { params: { id: entry.id }, body: change });
    await load();
    show({ text: 'Put right. How it stood before can be read under it.' });
    onDone();
  };

  return (
    <Sheet title="Put right" onClose={onDone}>
      <ScrollView style={styles.scroll} contentContainerStyle={styles.form}>
        <Form form={form} act="Save" save={save}>
          <Body>{words}</Body>
          <DayInput label="Day" value={on} onChange={setOn} max={round?.on} />
          {entry.residentId !== null && entry.kind !== 'taken-in' ? (
            <ListInput
              label="About"
              choices={nameable.map((each) => ({
                value: each.id,
                title: `${calledWords(each)}, ${boxOf(each.homeId)}`,
              }))}
              value={about}
              onChange={setAbout}
            />
          ) : null}
          {stage !== undefined && kept ? (
            <Choices
              label="Stage"
              choices={kept.stages.map((value) => ({ value, title: value }))}
              value={stage}
              onChange={setStage}
            />
          ) : null}
          {fields.map((field) => (
            <FormField
              key={field.name}
              control={control}
              name={field.name}
              label={field.is === 'length' ? `${field.label}, ${length.unit}` : field.label}
              check={(text) => checkOf(text, field, length)}
              {...(field.is !== 'text' && { keyboard: 'decimal-pad' as const })}
            />
          ))}
          <FormField control={control} name="note" label="Note" />
        </Form>
      </ScrollView>
    </Sheet>
  );
}

/** A field of the entry as it is typed. */
function textOf({ data }: Entry, { name, is }: MendField, { unit }: LengthWords): string {
  const value = (data as Record<string, unknown>)[name];
  if (value === undefined) return '';
  return is === 'length' ? formatLengthNumber(Number(value), unit) : String(value);
}

/** What was typed, as an entry carries it; an empty field takes it away. */
function valueOf(text: string, { is }: MendField, { unit }: LengthWords): string | number | null {
  const typed = text.trim();
  if (typed === '') return null;
  if (is === 'text') return typed;
  if (is === 'number') return numberIn(typed) ?? null;
  const parsed = parseLength(typed, unit);
  return parsed.ok ? parsed.mm : null;
}

function checkOf(text: string, { is }: MendField, { unit }: LengthWords): string | true {
  if (text.trim() === '' || is === 'text') return true;
  if (is === 'number') return numberIn(text) !== undefined || 'A number, for example 17.4.';
  const parsed = parseLength(text, unit);
  return parsed.ok || parsed.problem;
}

const useStyles = makeStyles(() => ({
  scroll: { maxHeight: '70vh' as never },
  form: { gap: space.m, paddingBottom: space.m },
}));
