import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useStoreBook } from '@/client/storeBook';
import { useCall } from '@/client/useCall';
import { Fold } from '../kit/Fold';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { amountWords, itemName } from '@/words/food';
import { LATE_ORDER, costWords, orderDays } from '@/words/store';
import { capital } from '@/words/text';
import { useNames } from '@/words/useNames';
import { Waiting } from '../kit/Waiting';

/** Every order of the next 12 weeks, and the price list that they are planned by. */
export function OrdersScreen() {
  const names = useNames();
  const loading = useLoadState();
  const today = useHouse((house) => house.round?.on ?? '');
  const { plan, load } = useStoreBook();
  if (loading || !plan) return <Screen>{loading ?? <Waiting>Working out what is needed…</Waiting>}</Screen>;
  const unsold = plan.lines.filter((line) => !line.isSold && line.short.some((each) => each > 0));
  const bred = unsold.filter((line) => line.breeders !== null);
  const fromKitchen = plan.lines.filter((line) => line.isFromKitchen);
  return (
    <Screen>
      <PaneHeader back="/store" title="Store" />
      <Title>Orders, 12 weeks</Title>
      <Soft>
        {`${plan.supplier}. The cheapest plan that is never short, with what dies, grows on or goes off; in whole packs. ` +
          `In all ${costWords(plan.totalCost)}.`}
      </Soft>
      {orderDays(plan).map((day) => (
        <View key={day.by} style={{ marginTop: space.l, gap: space.xs }}>
          <Heading>{`By ${dayWords(day.by, today)}: ${costWords(day.cost)}`}</Heading>
          {day.isLate ? <Body>{LATE_ORDER}</Body> : null}
          {day.lines.map((line) => (
            <View key={`${line.item} ${line.neededOn}`}>
              <Strong>{`${line.packs} x ${amountWords(line.amount / line.packs, line.unit)} ${itemName(names, line.item)}`}</Strong>
              <Soft>{`There by ${dayWords(line.neededOn, today)}, ${costWords(line.cost)}`}</Soft>
            </View>
          ))}
        </View>
      ))}
      {bred.length > 0 ? (
        <View style={{ marginTop: space.xl, gap: space.xs }}>
          <Heading>Not sold there</Heading>
          {bred.map((line) => (
            <Body key={line.item}>
              {`${capital(itemName(names, line.item))}: ${line.breeders} breeders of your own would do.`}
            </Body>
          ))}
        </View>
      ) : null}
      {fromKitchen.length > 0 ? (
        <View style={{ marginTop: space.xl, gap: space.xs }}>
          <Heading>From the kitchen</Heading>
          {fromKitchen.map((line) => (
            <Body key={line.item}>
              {`${capital(itemName(names, line.item))}: about ${amountWords(line.demand.reduce((sum, each) => sum + each, 0) / plan.weeks, line.unit)} a week.`}
            </Body>
          ))}
        </View>
      ) : null}
      <PriceList onChanged={load} />
    </Screen>
  );
}

/** The price list as text: to look at, to take along, to put another in its place. */
function PriceList({ onChanged }: { onChanged: () => Promise<void> }) {
  const show = useLog((log) => log.show);
  const [version, setVersion] = useState(0);
  const { answer } = useCall(version, () => call('supplier', {}));
  const changed = async (text: string) => {
    setVersion(version + 1);
    await onChanged();
    show({ text });
  };
  return (
    <View style={{ marginTop: space.xl }}>
      <Fold title="Price list">
        <Soft>A table with commas: item, pack_size, pack_price, lead_days, handling. Prices in your own money.</Soft>
        {answer ? <PriceListForm key={answer.csv} {...answer} changed={changed} /> : null}
      </Fold>
    </View>
  );
}

interface PriceListProps {
  csv: string;
  isOwn: boolean;
  changed: (text: string) => Promise<void>;
}

function PriceListForm({ csv, isOwn, changed }: PriceListProps) {
  const form = useFields({ csv });
  const save = async (typed: { csv: string }) => {
    await call('setSupplier', { body: typed });
    await changed('Your price list is in force.');
  };
  const reset = async () => {
    await call('resetSupplier', {});
    await changed('The list that ships is in force.');
  };
  return (
    <View>
      <Form form={form} act="Plan by this list" rank="second" disabled={form.values.csv === csv} save={save}>
        <FormField control={form.control} name="csv" label="Price list" lines={10} />
      </Form>
      {isOwn ? (
        <LinkRow links={[{ title: 'Back to the list that ships', onPress: () => void reset().catch(form.place) }]} />
      ) : null}
    </View>
  );
}
