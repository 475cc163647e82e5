import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog, type NewEntry } from '@/client/log';
import { useCall } from '@/client/useCall';
import type { Resident } from '@/contract/records';
import { countedInBand, countedInPart, ESTIMATES, type Counted } from '@/core/colony/counting';
import { stagesOf, type PopulationKind } from '@/core/colony/kind';
import { growsFungus } from '@/core/colony/nestSteps';
import { numberIn } from '@/core/measure/typedNumber';
import { Choices } from '../kit/Choices';
import { headCountIn, headsCheck } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { space } from '../theme/tokens';
import { countedWords, stageWords } from '@/words/colony';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';
import { Waiting } from '../kit/Waiting';

interface Props {
  resident: Resident;
  onDone: () => void;
}

const WAYS = [
  { value: 'all', title: 'Every head' },
  { value: 'photo', title: 'In a photo' },
  { value: 'eye', title: 'By eye' },
] as const;
type Way = (typeof WAYS)[number]['value'];

type Save = (counts: object, words: string, place: (error: unknown) => void) => Promise<void>;

/** A colony or a culture is counted: head by head and stage by stage, in a picture of a part, or by eye. */
export function CountForm(props: Props) {
  const [way, setWay] = useState<Way>('all');
  const dated = useFields({ on: TODAY });
  const write = useLog((log) => log.write);
  const save: Save = async (counts, words, place) => {
    const entry = { kind: 'measured', residentId: props.resident.id, ...counts, ...onDay(dated.values.on) } as NewEntry;
    if (!(await dated.trigger())) return;
    if (await write(entry, `${calledWords(props.resident)}: ${words}`, place)) props.onDone();
  };
  const keep = ({ heads, low, high }: Counted, place: (error: unknown) => void) =>
    save({ headCount: heads, headsLow: low, headsHigh: high }, `about ${heads}, ${low} to ${high}.`, place);
  return (
    <View style={{ gap: space.m }}>
      <When control={dated.control} />
      <Choices label="How it was counted" choices={WAYS} value={way} onChange={setWay} />
      {way === 'all' ? <ByStages resident={props.resident} save={save} /> : null}
      {way === 'photo' ? <InPhoto keep={keep} /> : null}
      {way === 'eye' ? <ByEye keep={(counted) => keep(counted, dated.place)} /> : null}
    </View>
  );
}

/** What is typed in a field for a count; undefined while it is empty, null where it is none. */
const countIn = (text: string) => (text === '' ? undefined : text === '0' ? 0 : (headCountIn(text) ?? null));

function ByStages({ resident, save }: { resident: Resident; save: Save }) {
  const round = useHouse((house) => house.round);
  const { answer: facts } = useCall(round, () => call('residentColony', { params: { id: resident.id } }));
  const hasGarden = useHouse(({ care }) => growsFungus(care.of(resident)));
  if (!facts?.kind) return <Waiting>Looking it up…</Waiting>;
  return <StageFields kind={facts.kind} hasGarden={hasGarden} save={save} />;
}

function StageFields({ kind, hasGarden, save }: { kind: PopulationKind; hasGarden: boolean; save: Save }) {
  const form = useFields<Record<string, string>>({});
  const stages = [...stagesOf(kind)].reverse();
  const isAnt = kind.laying.by === 'queen';
  const typed = (name: string) => countIn((form.values[name] ?? '').trim());
  const garden = numberIn(form.values.garden ?? '');
  const isToldBeside = typed('queens') !== undefined || garden !== undefined;
  const isToldAny = stages.some((stage) => typed(stage) !== undefined);
  const wholeCheck = (text: string) => countIn(text.trim()) !== null || 'A whole number from 0 up.';
  // Brood without its grown ones tells nothing of the colony.
  const firstCheck = (text: string) =>
    text.trim() !== ''
      ? wholeCheck(text)
      : isToldAny
        ? `Count the ${stageWords(kind.adults)} too, 0 where there are none.`
        : isToldBeside || 'Count at least one stage.';
  const submit = () => {
    const told = stages.flatMap((stage) => {
      const count = typed(stage);
      return typeof count === 'number' ? [[stage, count] as const] : [];
    });
    const queens = typed('queens');
    const entry = {
      ...(told.length > 0 && { stages: Object.fromEntries(told) }),
      ...(typeof queens === 'number' && { queens }),
      ...(garden !== undefined && { fungusSharePct: garden }),
    };
    return save(entry, `counted, ${countedWords(Object.fromEntries(told))}.`, form.place);
  };
  const field = (name: string, label: string, hint?: string) => (
    <FormField
      key={name}
      control={form.control}
      name={name}
      label={label}
      check={name === stages[0] ? firstCheck : wholeCheck}
      hint={hint}
      steps={{ least: 0, most: 1_000_000 }}
    />
  );
  return (
    <Form form={form} act="Write down" save={submit}>
      {stages.map((stage, index) =>
        field(
          stage,
          capital(stageWords(stage)),
          index === 0 ? 'Stages left empty are reckoned as is usual.' : undefined,
        ),
      )}
      {isAnt ? field('queens', 'Queens') : null}
      {hasGarden ? (
        <FormField
          control={form.control}
          name="garden"
          label="Fungus garden, % of the chambers"
          check={(text) => text.trim() === '' || isPercent(numberIn(text)) || 'Percent, 0 to 100.'}
          hint="By eye, or in a photo from above: the leaves that are given go by it."
          keyboard="decimal-pad"
        />
      ) : null}
    </Form>
  );
}

const isPercent = (value: number | undefined) => value !== undefined && value >= 0 && value <= 100;

type Keep = (counted: Counted, place: (error: unknown) => void) => Promise<void>;

function InPhoto({ keep }: { keep: Keep }) {
  const form = useFields({ counted: '', share: '100' }, () => 'counted');
  const [heads, percent] = [headCountIn(form.values.counted), numberIn(form.values.share)];
  const isShare = percent !== undefined && percent > 0 && percent <= 100;
  const result = heads !== undefined && isShare ? countedInPart(heads, percent) : null;
  return (
    <Form form={form} act="Write down" save={async () => result && keep(result, form.place)}>
      <FormField
        control={form.control}
        name="counted"
        label="Heads in the photo"
        check={headsCheck}
        keyboard="number-pad"
      />
      <FormField
        control={form.control}
        name="share"
        label="Part of the nest in the photo, %"
        check={(text) => {
          const value = numberIn(text) ?? 0;
          return (value > 0 && value <= 100) || 'Percent, over 0 and up to 100.';
        }}
        hint={result ? `About ${result.heads} in all, likely ${result.low} to ${result.high}.` : undefined}
        keyboard="decimal-pad"
      />
    </Form>
  );
}

function ByEye({ keep }: { keep: (counted: Counted) => Promise<void> }) {
  return (
    <Choices
      label="About how many"
      choices={ESTIMATES.map(([low, high]) => ({ value: `${low}`, title: `${low} to ${high}` }))}
      value={undefined}
      onChange={(chosen) => {
        const band = ESTIMATES.find(([low]) => String(low) === chosen);
        if (band) void keep(countedInBand(band[0], band[1]));
      }}
    />
  );
}
