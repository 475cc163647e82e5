import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { undoing, useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import type { Resident } from '@/contract/records';
import { MOULT_SIGNS, type Form } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Field } from '../kit/Field';
import { PhotoPicker } from '../components/PhotoPicker';
import { useTyped } from '../forms/useTyped';
import { Heading, Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { signWords } from '@/words/jobs';
import { calledWords } from '@/words/residents';
import { HatchForm, InstarForm, JoinForm, PartForm } from './GroupForms';
import { ClutchForm } from './ClutchForm';
import { CountForm } from './CountForm';
import { DayField, useDay } from './DayField';
import { LeavingForm } from './LeavingForm';
import { useQuiet } from './QuietPanel';
import { SexForm } from './SexForm';
import { SizeForm } from './SizeForm';
import { goToWriteDown, WRITE_DOWN_ID } from './writeDown';

const TITLES = {
  sign: 'A sign',
  moulted: 'It moulted',
  instars: 'Some moulted',
  hatched: 'They hatched',
  measured: 'A size or a count',
  counted: 'A count by stages or photo',
  clutch: 'Eggs found',
  paired: 'Paired tonight',
  sexed: 'Its sex',
  note: 'A note',
  photo: 'A photo',
  part: 'Take some out',
  join: 'Join another group',
  left: 'It left',
} as const;
type What = keyof typeof TITLES;

const OF_FORM: Record<Form, What[]> = {
  single: ['sign', 'moulted', 'measured', 'sexed', 'clutch', 'paired', 'note', 'photo', 'left'],
  group: ['instars', 'measured', 'counted', 'clutch', 'paired', 'sign', 'note', 'photo', 'part', 'join', 'left'],
  colony: ['counted', 'measured', 'sign', 'note', 'photo', 'part', 'join', 'left'],
  eggs: ['hatched', 'measured', 'note', 'photo', 'part', 'left'],
};

/** What takes an animal in hand, or its box. */
const DISTURBS = new Set<What>(['measured', 'sexed', 'photo', 'part', 'join']);

/** What the round does not ask for. */
export function NoteDown({ resident }: { resident: Resident }) {
  const { write } = useLocalSearchParams<{ write?: string }>();
  const asked = OF_FORM[resident.form].find((each) => each === write);
  const [what, setWhat] = useState<What | undefined>(asked);
  // The walk sends here for what takes a number, and so does the page itself.
  useEffect(() => {
    if (write !== undefined) goToWriteDown();
  }, [write]);
  // While it was being saved another form may have been opened: that one stays.
  const done = () => {
    setWhat((now) => (now === what ? undefined : now));
    // Asked for again, it opens again.
    if (write !== undefined) router.setParams({ write: undefined });
  };
  const form = { resident, onDone: done };
  const quiet = useQuiet(resident.id);
  const isMany = resident.form !== 'single';
  const profile = useHouse((house) => house.care).of(resident);
  // What only some kinds have is offered to them alone.
  const isOffered: Partial<Record<What, boolean>> = {
    clutch: profile.work.some(({ work }) => work === 'clutch'),
    paired: profile.silhouette === 'moth' && resident.stage === 'adult',
  };
  const titleOf = (each: What) => (each === 'left' && isMany ? 'Some left' : TITLES[each]);
  return (
    <View
      id={WRITE_DOWN_ID}
      tabIndex={-1}
      role="group"
      aria-label="Write down"
      style={{ gap: space.m, marginTop: space.xl }}
    >
      <Heading>Write down</Heading>
      <Choices
        label="What to write down"
        choices={OF_FORM[resident.form]
          .filter((value) => isOffered[value] !== false)
          .map((value) => ({ value, title: titleOf(value) }))}
        value={what}
        onChange={setWhat}
      />
      {quiet && what !== undefined && DISTURBS.has(what) ? (
        <Soft>It is left alone now: only from outside, without touching it or its box. Anything else can wait.</Soft>
      ) : null}
      {what === 'sign' ? <SignForm {...form} /> : null}
      {what === 'moulted' || what === 'measured' ? <SizeForm key={what} kind={what} {...form} /> : null}
      {what === 'counted' ? <CountForm {...form} /> : null}
      {what === 'clutch' ? <ClutchForm {...form} /> : null}
      {what === 'paired' ? <PairedForm {...form} /> : null}
      {what === 'instars' ? <InstarForm {...form} /> : null}
      {what === 'hatched' ? <HatchForm {...form} /> : null}
      {what === 'sexed' ? <SexForm {...form} /> : null}
      {what === 'note' ? <NoteForm {...form} /> : null}
      {what === 'photo' ? <PhotoForm {...form} /> : null}
      {what === 'part' ? <PartForm {...form} /> : null}
      {what === 'join' ? <JoinForm {...form} /> : null}
      {what === 'left' ? <LeavingForm {...form} /> : null}
    </View>
  );
}

interface FormProps {
  resident: Resident;
  onDone: () => void;
}

function SignForm({ resident, onDone }: FormProps) {
  const write = useLog((log) => log.write);
  const { leaveAloneSigns } = useHouse((house) => house.care).of(resident);
  // Those on which it is left alone come first; the others count in the odds.
  const signs = [...leaveAloneSigns, ...MOULT_SIGNS.filter((sign) => !leaveAloneSigns.includes(sign))];
  const day = useDay();
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Choices
        label="Sign of a moult"
        choices={signs.map((sign) => ({ value: sign, title: signWords(sign) }))}
        value={undefined}
        onChange={(sign) => {
          const entry = { kind: 'sign', residentId: resident.id, sign, ...day.field } as const;
          void write(entry, `${calledWords(resident)}: ${signWords(sign)}.`).then((isDone) => isDone && onDone());
        }}
      />
    </View>
  );
}

/** Put together for the night, with another of its kind where one is named. */
function PairedForm({ resident, onDone }: FormProps) {
  const write = useLog((log) => log.write);
  const residents = useHouse((house) => house.residents);
  const others = residents.filter(
    ({ id, scientificName, stage }) =>
      id !== resident.id && scientificName === resident.scientificName && stage === 'adult',
  );
  return (
    <View style={{ gap: space.m }}>
      <Soft>In a net overnight, warm, in the dark; apart again by day. The eggs are taken in the days after.</Soft>
      <Choices
        label="With whom"
        choices={[
          ...others.map((each) => ({ value: each.id, title: calledWords(each) })),
          { value: '', title: 'those in its own box' },
        ]}
        value={undefined}
        onChange={(withId) => {
          const entry = { kind: 'paired', residentId: resident.id, ...(withId !== '' && { withId }) } as const;
          void write(entry, `${calledWords(resident)}: paired for the night.`).then((isDone) => isDone && onDone());
        }}
      />
    </View>
  );
}

function NoteForm({ resident, onDone }: FormProps) {
  const write = useLog((log) => log.write);
  const note = useTyped();
  const day = useDay();
  const save = async () => {
    if (note.isEmpty) return note.refuse('Write what you noticed.');
    const entry = { kind: 'noted', residentId: resident.id, note: note.text, ...day.field } as const;
    if (await write(entry, `${calledWords(resident)}: noted.`)) onDone();
  };
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Field label="What you noticed" {...note.field} />
      <Button title="Write down" onPress={() => void save()} />
    </View>
  );
}

function PhotoForm({ resident, onDone }: FormProps) {
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const note = useTyped();
  const day = useDay();
  const keep = async (picture: Promise<string>) => {
    try {
      const body = {
        jpegBase64: await picture,
        ...(!note.isEmpty && { note: note.text }),
        ...day.field,
        ...keeperField(),
      };
      const { entry } = await call('addResidentPhoto', { params: { id: resident.id }, body });
      await load();
      show({ text: `${calledWords(resident)}: photo kept.`, ...undoing(entry.id) });
      onDone();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  return (
    <View style={{ gap: space.m }}>
      <DayField day={day} />
      <Field label="What it shows, if you like" {...note.field} />
      <PhotoPicker label="Photo of the resident" onPick={(picture) => void keep(picture)} />
      <Soft>Made smaller on this device, then kept with the record. No flash on a moulting animal.</Soft>
    </View>
  );
}
