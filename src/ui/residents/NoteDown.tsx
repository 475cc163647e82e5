import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { undoing, useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import type { Resident } from '@/contract/records';
import { mayPair } from '@/core/broods/pairing';
import { lifeEvents } from '@/core/growth/lifeEvents';
import { moultsNoMore } from '@/core/growth/moulting';
import { tellingSigns } from '@/core/growth/tellingSigns';
import type { CareProfile, Form as ResidentForm, MoultSign } from '@/core/profiles/profile';
import { Choices } from '../kit/Choices';
import { Switch } from '../kit/Switch';
import { PhotoPicker } from '../components/PhotoPicker';
import { needed } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { Body, Heading, Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { signWords } from '@/words/jobs';
import { lifeEntry, lifeTitle, type LifeEntry } from '@/words/lifeEvents';
import { calledWords } from '@/words/residents';
import { HatchForm, InstarForm, JoinForm } from './GroupForms';
import { ClutchForm } from './ClutchForm';
import { CountForm } from './CountForm';
import { LeavingForm } from './LeavingForm';
import { PartForm } from './PartForm';
import { useQuiet } from './QuietPanel';
import { SexForm } from './SexForm';
import { SizeForm } from './SizeForm';
import { StageForm } from './StageForm';
import { goToWriteDown, WRITE_DOWN_ID } from './writeDown';

const TITLES = {
  sign: 'A sign',
  measured: 'A size or a count',
  clutch: 'Eggs found',
  paired: 'Paired tonight',
  sexed: 'Its sex',
  note: 'A note',
  photo: 'A photo',
  part: 'Take some out',
  join: 'Join another group',
  left: 'It left',
} as const;
type Other = keyof typeof TITLES;
type What = Other | LifeEntry;

/** Besides what changes in a life. */
const OF_FORM: Record<ResidentForm, Other[]> = {
  single: ['sign', 'measured', 'sexed', 'clutch', 'paired', 'note', 'photo', 'left'],
  group: ['measured', 'clutch', 'paired', 'sign', 'note', 'photo', 'part', 'join', 'left'],
  colony: ['measured', 'sign', 'note', 'photo', 'part', 'join', 'left'],
  eggs: ['measured', 'note', 'photo', 'part', 'left'],
};

/** What takes an animal in hand, or its box. */
const DISTURBS = new Set<What>(['measured', 'sexed', 'photo', 'part', 'join']);

/** What the round does not ask for. */
export function NoteDown({ resident }: { resident: Resident }) {
  const { write } = useLocalSearchParams<{ write?: string }>();
  const profile = useHouse((house) => house.care).of(resident);
  const choices = choicesFor(profile, resident);
  const [what, setWhat] = useState(choices.find(({ value }) => value === write)?.value);
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
  return (
    <View
      id={WRITE_DOWN_ID}
      tabIndex={-1}
      role="group"
      aria-label="Write down"
      style={{ gap: space.m, marginTop: space.xl, outlineWidth: 0 }}
    >
      <Heading>Write down</Heading>
      <Choices label="What to write down" choices={choices} value={what} onChange={setWhat} />
      {quiet && what !== undefined && DISTURBS.has(what) ? (
        <Soft>It is left alone now: only from outside, without touching it or its box. Anything else can wait.</Soft>
      ) : null}
      {what === 'sign' ? <SignForm {...form} /> : null}
      {what === 'moulted' || what === 'measured' ? <SizeForm key={what} kind={what} {...form} /> : null}
      {what === 'counted' ? <CountForm {...form} /> : null}
      {what === 'clutch' ? <ClutchForm {...form} /> : null}
      {what === 'paired' ? <PairedForm {...form} /> : null}
      {what === 'instars' ? <InstarForm {...form} /> : null}
      {what === 'pupated' || what === 'emerged' ? (
        <StageForm key={what} stage={what === 'pupated' ? 'pupa' : 'adult'} {...form} />
      ) : null}
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

/** What changes in its life first; then what only some kinds have, and at some stages, where it has it. */
function choicesFor(profile: CareProfile, { stage, form }: Resident): { value: What; title: string }[] {
  const events = lifeEvents(profile, stage, form);
  const isOffered: Partial<Record<Other, boolean>> = {
    sign: tellingSigns(profile, stage).length > 0,
    clutch: profile.work.some(({ work }) => work === 'clutch'),
    paired: profile.silhouette === 'moth' && stage === 'adult',
  };
  const titleOf = (each: Other) => (each === 'left' && form !== 'single' ? 'Some left' : TITLES[each]);
  return [
    ...events.map((event) => ({
      value: lifeEntry(event, form),
      title: event === 'count' ? 'A count by stages or photo' : lifeTitle(event, form),
    })),
    ...OF_FORM[form].filter((each) => isOffered[each] !== false).map((value) => ({ value, title: titleOf(value) })),
  ];
}

interface FormProps {
  resident: Resident;
  onDone: () => void;
}

function SignForm({ resident, onDone }: FormProps) {
  const write = useLog((log) => log.write);
  const profile = useHouse((house) => house.care).of(resident);
  const signs = tellingSigns(profile, resident.stage);
  const form = useFields<{ on: string; sign: MoultSign | '' }>({ on: TODAY, sign: '' });
  // A tap on a sign writes it: of a dozen signs one is seen, and the hands are wet.
  const save = form.handleSubmit(async ({ on, sign }) => {
    if (sign === '') return;
    const entry = { kind: 'sign', residentId: resident.id, sign, ...onDay(on) } as const;
    if (await write(entry, `${calledWords(resident)}: ${signWords(sign)}.`, form.place)) onDone();
  });
  return (
    <View style={{ gap: space.m }}>
      <When control={form.control} />
      <FormChoices
        control={form.control}
        name="sign"
        label={moultsNoMore(profile, resident.stage) ? 'What it shows' : 'Sign of a moult'}
        choices={signs.map((sign) => ({ value: sign, title: signWords(sign) }))}
        onChosen={() => void save()}
      />
      <Problems form={form} />
    </View>
  );
}

/** Put together for the night, with another of its kind where one is named. */
function PairedForm({ resident, onDone }: FormProps) {
  const write = useLog((log) => log.write);
  const residents = useHouse((house) => house.residents);
  const others = residents.filter(
    ({ id, scientificName, stage, sex }) =>
      id !== resident.id &&
      scientificName === resident.scientificName &&
      stage === 'adult' &&
      mayPair(resident.sex, sex),
  );
  // Among themselves: a group of which nobody said that it is of one sex.
  const meetsItsOwn = resident.form !== 'single' && resident.sex === 'unknown';
  if (others.length === 0 && !meetsItsOwn)
    return <Body>{`No other grown ${resident.scientificName} that it could be paired with is here.`}</Body>;
  return (
    <View style={{ gap: space.m }}>
      <Soft>In a net overnight, warm, in the dark; apart again by day. The eggs are taken in the days after.</Soft>
      <Choices
        label="With whom"
        choices={[
          ...others.map((each) => ({ value: each.id, title: calledWords(each) })),
          ...(meetsItsOwn ? [{ value: '', title: 'each other' }] : []),
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
  const start = { on: TODAY, note: '' };
  const form = useFields(start);
  const save = async ({ on, note }: typeof start) => {
    const entry = { kind: 'noted', residentId: resident.id, note: note.trim(), ...onDay(on) } as const;
    if (await write(entry, `${calledWords(resident)}: noted.`, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <When control={form.control} />
      <FormField
        control={form.control}
        name="note"
        label="What you noticed"
        check={needed('Write what you noticed.')}
      />
    </Form>
  );
}

function PhotoForm({ resident, onDone }: FormProps) {
  const load = useHouse((house) => house.load);
  const show = useLog((log) => log.show);
  const start = { on: TODAY, note: '' };
  const form = useFields(start);
  const [isFull, setFull] = useState(false);
  // A photo that was picked is kept at once.
  const keep = (picture: Promise<string>) =>
    form.handleSubmit(async ({ on, note }) => {
      try {
        const body = {
          jpegBase64: await picture,
          ...(note.trim() !== '' && { note: note.trim() }),
          ...onDay(on),
          ...keeperField(),
        };
        const { entry } = await call('addResidentPhoto', { params: { id: resident.id }, body });
        await load();
        show({ text: `${calledWords(resident)}: photo kept.`, ...undoing(entry.id) });
        onDone();
      } catch (error) {
        form.place(error);
      }
    })();
  return (
    <View style={{ gap: space.m }}>
      <When control={form.control} />
      <FormField control={form.control} name="note" label="What it shows, if you like" />
      <Switch label="Keep it in full size" value={isFull} onChange={setFull} />
      <PhotoPicker label="Photo of the resident" isFull={isFull} onPick={(picture) => void keep(picture)} />
      <Problems form={form} />
      <Soft>
        {`${isFull ? 'Kept as it is' : 'Made smaller on this device'}, without where and when it was taken. No flash on a moulting animal.`}
      </Soft>
    </View>
  );
}
