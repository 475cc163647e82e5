import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { printLabels } from '@/client/labels';
import { useCall } from '@/client/useCall';
import type { Label, LabelBoard } from '@/contract/labels';
import type { Home } from '@/contract/records';
import type { LabelStock } from '@/core/labels/stock';
import { countWords } from '@/words/count';
import { dayWords } from '@/words/days';
import { useLength } from '@/words/useLength';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { saveFrom } from '../components/saveFile';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Title } from '../components/Words';
import { countCheck, lengthCheck, needed } from '../forms/checks';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { Button } from '../kit/Button';
import { Choices } from '../kit/Choices';
import { Fold } from '../kit/Fold';
import { Switch } from '../kit/Switch';
import { Waiting } from '../kit/Waiting';
import { LabelPicture } from '../labels/LabelPicture';
import { fieldOf, GRID_FIELDS, OWN, OWN_FIELDS, stockOf, valuesOf, type SheetValues } from '../labels/stocks';
import { space } from '../theme/tokens';

/** Labels for boxes: which ones, on what, and how they will look. */
export function LabelsScreen() {
  const round = useHouse((house) => house.round);
  const [prints, setPrints] = useState(0);
  const loading = useLoadState();
  const { answer, problem, again } = useCall(`${prints} ${round?.on ?? ''}`, () => call('labels', {}));
  if (loading) return <Screen>{loading}</Screen>;
  if (!answer) {
    return (
      <Screen>
        <Waiting {...{ problem, again }}>Reading the labels…</Waiting>
      </Screen>
    );
  }
  return <Labels board={answer} onPrinted={() => setPrints((before) => before + 1)} />;
}

type Which = 'one' | 'changed' | 'all' | `shelf ${string}`;

function Labels({ board, onPrinted }: { board: LabelBoard; onPrinted: () => void }) {
  const { home } = useLocalSearchParams<{ home?: string }>();
  const { shelves, homes, round } = useHouse();
  const length = useLength();
  const one = homes.find(({ id }) => id === home);
  const [which, setWhich] = useState<Which>(one ? 'one' : 'changed');
  const [withFree, setWithFree] = useState(false);
  const [cutMarks, setCutMarks] = useState(false);
  const form = useFields<SheetValues>(valuesOf(board, window.location.origin, length.short), fieldOf);
  const { values } = form;
  const stock = stockOf(values, board.stocks, length.unit);
  const isSheet = stock?.form !== 'tape';
  const labels = chosen(board.labels, which, one?.id, homes).filter(
    (each) => which === 'one' || withFree || !isOfFree(each),
  );
  const print = async (wentTo: 'printer' | 'file', { startAt, address }: SheetValues) => {
    if (!stock) return;
    const asked = { about: labels.map(({ about }) => about), stock, address: address.trim(), cutMarks, wentTo };
    try {
      const { id } = await printLabels({ ...asked, startAt: isSheet ? Number(startAt) : 1 }, onPrinted);
      if (wentTo === 'file') saveFrom(`/api/label-prints/${id}.pdf`);
      onPrinted();
    } catch (error) {
      form.place(error);
    }
  };
  const act = (wentTo: 'printer' | 'file') => void form.handleSubmit((read) => print(wentTo, read))();
  if (homes.length === 0) return <NoBoxes />;
  const isIdle = labels.length === 0 || form.formState.isSubmitting;
  const today = round?.on ?? '';
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          {isSheet ? null : <Button grow title="Print" disabled={isIdle} onPress={() => act('printer')} />}
          <Button
            grow
            rank={isSheet ? 'main' : 'second'}
            title="Save as PDF"
            disabled={isIdle}
            onPress={() => act('file')}
          />
        </>
      }
    >
      <PaneHeader back={one ? `/homes/${one.id}` : '/settings'} title={one ? one.code : 'More'} />
      <Title>{one ? `Label for ${one.code}` : 'Labels'}</Title>
      <View style={{ gap: space.m, marginTop: space.m }}>
        {one ? null : (
          <Choices
            isNamedAbove
            label="Which labels"
            choices={[
              { value: 'changed', title: 'to be printed' },
              ...shelves.map(({ id, name, room }) => ({ value: `shelf ${id}` as const, title: `${room}, ${name}` })),
              { value: 'all', title: 'every box' },
            ]}
            value={which}
            onChange={setWhich}
          />
        )}
        {one || !board.labels.some(isOfFree) ? null : (
          <Switch label="Free boxes too" value={withFree} onChange={setWithFree} />
        )}
        <Body>{countedWords(labels, which, today)}</Body>
      </View>
      <Heading style={{ marginTop: space.xl }}>Printed on</Heading>
      <View style={{ gap: space.m }}>
        <FormChoices
          control={form.control}
          name="stockId"
          label="Sheets or tape"
          isNamedAbove
          choices={[
            ...board.stocks.map(({ id, title }) => ({ value: id, title })),
            { value: OWN, title: 'sheets of my own measures' },
          ]}
        />
        {values.stockId === OWN ? (
          <>
            {GRID_FIELDS.map(({ name, label, most }) => (
              <FormField
                key={name}
                control={form.control}
                name={name}
                label={label}
                check={countCheck}
                steps={{ least: 1, most }}
              />
            ))}
            {OWN_FIELDS.map(({ name, label, least, most }) => (
              <FormField
                key={name}
                control={form.control}
                name={name}
                label={`${label} (${length.unit})`}
                keyboard="decimal-pad"
                check={least === 0 ? zeroOr(lengthCheck(length.unit, 0, most)) : lengthCheck(length.unit, least, most)}
              />
            ))}
          </>
        ) : null}
        {isSheet ? (
          <>
            <FormField
              control={form.control}
              name="startAt"
              label="First label of the sheet that is still there"
              hint="Counted row by row from the upper left."
              check={countCheck}
              steps={{ least: 1, most: 800 }}
            />
            <Switch label="Cut marks" value={cutMarks} onChange={setCutMarks} />
          </>
        ) : null}
        <Fold title="The address in the code">
          <FormField
            control={form.control}
            name="address"
            label="Address of the house"
            hint={addressHint(values.address)}
            check={needed('Write the address under which this house is opened.')}
          />
        </Fold>
        {stock && labels.length > 0 ? <Preview {...{ labels, stock, address: values.address }} /> : null}
        <LinkRow links={[{ title: 'What the label printer printed', onPress: () => router.push('/labels/printer') }]} />
      </View>
    </Screen>
  );
}

const NoBoxes = () => (
  <Screen>
    <PaneHeader back="/settings" title="More" />
    <Title>Labels</Title>
    <Body>A label is for a box: put up the first one, and its label can be printed here.</Body>
    <LinkRow links={[{ title: 'Add a box', onPress: () => router.push('/homes/new') }]} />
  </Screen>
);

const zeroOr = (check: (text: string) => string | true) => (text: string) => text.trim() === '0' || check(text);

/** The label of a box in which nobody lives is about the box. */
const isOfFree = ({ about, homeId }: Label) => about === homeId;

function chosen(
  labels: readonly Label[],
  which: Which,
  one: string | undefined,
  homes: readonly Pick<Home, 'id' | 'shelfId'>[],
): Label[] {
  if (which === 'one') return labels.filter(({ homeId }) => homeId === one);
  if (which === 'all') return [...labels];
  if (which === 'changed') return labels.filter(({ standing }) => standing !== 'same');
  const onShelf = new Set(homes.filter(({ shelfId }) => `shelf ${shelfId}` === which).map(({ id }) => id));
  return labels.filter(({ homeId }) => onShelf.has(homeId));
}

function countedWords(labels: readonly Label[], which: Which, today: string): string {
  const [first] = labels;
  if (!first)
    return which === 'changed' ? 'Every label still holds as it was printed.' : 'There is no box to label here.';
  if (which === 'one' && labels.length === 1) {
    if (first.standing === 'never') return 'It was not printed yet.';
    const day = dayWords((first.printedAt ?? '').slice(0, 10), today);
    return first.standing === 'same'
      ? `Printed ${day}, and it still holds.`
      : `Printed ${day}: it says another thing now.`;
  }
  const never = labels.filter(({ standing }) => standing === 'never').length;
  const changed = labels.filter(({ standing }) => standing === 'changed').length;
  const parts = [never > 0 ? `${never} never printed` : '', changed > 0 ? `${changed} changed since` : ''];
  const told = parts.filter((part) => part !== '').join(', ');
  return `${countWords(labels.length, 'label')}${told === '' ? '' : `: ${told}`}.`;
}

/** An address that only this computer knows leads nowhere from a phone. */
const addressHint = (address: string) =>
  /\/\/(localhost|127\.|\[::1\])/.test(address)
    ? 'Only this computer knows this address. The camera in here reads the code all the same.'
    : 'The camera of any phone in the house opens the box.';

/** Labels that are shown before they are printed. */
const SHOWN = 4;

function Preview({ labels, stock, address }: { labels: readonly Label[]; stock: LabelStock; address: string }) {
  const about = labels.slice(0, SHOWN).map((each) => each.about);
  const [widthPx, setWidth] = useState(0);
  const asked = JSON.stringify([about, stock, address, labels.map(({ standing }) => standing).slice(0, SHOWN)]);
  const { answer, problem, again } = useCall(asked, () =>
    call('drawnLabels', { body: { about, stock, address: address.trim() } }),
  );
  return (
    <View
      style={{ gap: space.s, alignItems: 'flex-start' }}
      onLayout={({ nativeEvent }) => setWidth(Math.min(nativeEvent.layout.width, MOST_PX))}
    >
      {answer && widthPx > 0
        ? answer.labels.map((label) => <LabelPicture key={label.about} label={label} widthPx={widthPx} />)
        : null}
      {answer ? <Left labels={answer.labels} /> : <Waiting {...{ problem, again }}>Drawing them…</Waiting>}
      {labels.length > SHOWN ? <Soft>{`and ${labels.length - SHOWN} more`}</Soft> : null}
    </View>
  );
}

/** Larger than this it says no more. px */
const MOST_PX = 420;

const LEFT_OUT = {
  others: 'who lives with it',
  commonName: 'the common name',
  permit: 'the permit',
  life: 'sex and since when',
};

function Left({ labels }: { labels: readonly { leftOut: (keyof typeof LEFT_OUT)[] }[] }) {
  const missing = [...new Set(labels.flatMap(({ leftOut }) => leftOut))];
  if (missing.length === 0) return null;
  return <Body>{`No room on this size for ${missing.map((part) => LEFT_OUT[part]).join(', ')}.`}</Body>;
}
