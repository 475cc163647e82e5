import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useStoreBook } from '@/client/storeBook';
import { useStock } from '@/client/stock';
import { useCall } from '@/client/useCall';
import { STOCK_KIND_CHOICES } from '../store/stockKinds';
import type { StockEntry } from '@/contract/store';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { DemandBars } from '../charts/DemandBars';
import { numberIn } from '@/core/measure/typedNumber';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { dayWords, daysWords } from '@/words/days';
import { amountWords, feederOf, gramsWords, itemName } from '@/words/food';
import { lastsWords, neededWords, STOCK_KIND_WORDS, stockWords } from '@/words/store';
import { capital } from '@/words/text';
import { useLength } from '@/words/useLength';
import { useNames } from '@/words/useNames';
import { Waiting } from '../kit/Waiting';

const UNIT_WORDS = { pieces: 'How many', g: 'How much, g', ml: 'How much, mL', L: 'How much, L' } as const;

/** One thing of the store: what is there, what is needed of it, and what came and went. */
export function ItemScreen({ item }: { item: string }) {
  const names = useNames();
  const length = useLength();
  const loading = useLoadState();
  const today = useHouse((house) => house.round?.on ?? '');
  const { lines, plan, cultures } = useStoreBook();
  const { materials } = useStock();
  const { answer } = useCall(lines, () => call('stockEntries', { query: { item } }));
  if (loading) return <Screen>{loading}</Screen>;
  const feeder = feederOf(names, item);
  const food = names.foods.find((each) => each.id === item);
  const material = materials.find((each) => each.id === item);
  if (!feeder && !food && !material) {
    return (
      <Screen>
        <PaneHeader back="/store" title="Store" />
        <Body>There is nothing of that name in the store.</Body>
      </Screen>
    );
  }
  const line = lines.find((each) => each.item === item);
  const needed = plan?.lines.find((each) => each.item === item);
  const unit = line?.unit ?? needed?.unit ?? (feeder ? 'pieces' : material ? 'L' : food?.kind === 'sugar' ? 'ml' : 'g');
  const own = cultures.filter((each) => each.harvested === item);
  return (
    <Screen>
      <PaneHeader back="/store" title="Store" />
      <Title>{material ? material.name : capital(itemName(names, item))}</Title>
      {feeder ? (
        <>
          <Soft>
            {`${length.long(feeder.size.lengthMm)}, ${gramsWords(feeder.size.massG)} each, ${feeder.size.basis}; ` +
              `grows on in about ${daysWords(Math.round(feeder.size.daysInClass))}, ${feeder.size.weeklyLossPct} % die in a week`}
          </Soft>
          <Soft>
            {`Water ${feeder.kind.moisturePct.value} %` +
              `${feeder.kind.energyKJPerG ? `, ${feeder.kind.energyKJPerG.value} kJ a gram` : ''}, ` +
              `${feeder.kind.moisturePct.source ?? feeder.kind.moisturePct.basis}.`}
          </Soft>
        </>
      ) : material ? (
        <Soft>Loose and dry, by the litre. It keeps.</Soft>
      ) : (
        <Soft>{`Keeps for ${daysWords(food?.shelfLifeDays ?? 0)}, ${food?.basis ?? ''}.`}</Soft>
      )}
      {plan === null ? <Waiting>Looking what is there…</Waiting> : null}
      {plan === null ? null : (
        <Strong style={{ marginTop: space.m }}>{line ? capital(stockWords(line, today)) : 'None there'}</Strong>
      )}
      {plan === null ? null : needed ? (
        <View style={{ gap: space.xs, marginTop: space.l }}>
          <Heading>Eaten in 12 weeks</Heading>
          <Body>{`${capital(neededWords(needed))}; ${lastsWords(needed, today)}.`}</Body>
          <DemandBars
            label={`Needed week by week: ${needed.demand.map((each) => amountWords(each, unit)).join(', ')}`}
            demand={needed.demand}
            short={needed.short}
            from={today}
            words={(amount) => amountWords(amount, unit)}
          />
          <Soft>Filled: there or bred. Hatched: short if nothing is ordered.</Soft>
          {needed.breeders !== null && feeder ? (
            <Soft>{`${needed.breeders} breeders of your own would sustain that.`}</Soft>
          ) : null}
        </View>
      ) : material ? null : (
        <Body>Nobody is fed with it in the next 12 weeks.</Body>
      )}
      {own.map((culture) => (
        <Soft key={culture.id}>{`${culture.called} yields about ${Math.round(culture.yieldPerWeek)} a week.`}</Soft>
      ))}
      <StockForm item={item} name={material?.name ?? capital(itemName(names, item))} unit={unit} />
      <View style={{ marginTop: space.xl, gap: space.s }}>
        <Heading>Came and went</Heading>
        <Soft>What was fed is taken off by itself.</Soft>
        {answer?.entries.map((entry) => (
          <Body key={entry.id}>{entryLine(entry, unit, today)}</Body>
        ))}
        {answer?.entries.length === 0 ? <Soft>Nothing was written down yet.</Soft> : null}
      </View>
    </Screen>
  );
}

const entryLine = ({ on, kind, amount, keeper }: StockEntry, unit: keyof typeof UNIT_WORDS, today: string) =>
  `${dayWords(on, today)}: ${amountWords(amount, unit)} ${STOCK_KIND_WORDS[kind]}${keeper === null ? '' : `, ${keeper}`}`;

interface FormProps {
  item: string;
  name: string;
  unit: keyof typeof UNIT_WORDS;
}

function StockForm({ item, name, unit }: FormProps) {
  const { write } = useStoreBook();
  const form = useFields<{ kind: StockEntry['kind']; amount: string }>({ kind: 'counted', amount: '' });
  const { control, values } = form;
  const amountCheck = (text: string) => {
    const value = numberIn(text);
    const isRight = value !== undefined && (values.kind === 'counted' ? value >= 0 : value > 0);
    if (isRight && (unit !== 'pieces' || Number.isInteger(value))) return true;
    return `A${unit === 'pieces' ? ' whole' : ''} number ${values.kind === 'counted' ? 'from 0 up' : 'over 0'}.`;
  };
  const save = async ({ kind, ...typed }: typeof values) => {
    const amount = numberIn(typed.amount) ?? 0;
    await write({ item, kind, amount }, `${name}: ${amountWords(amount, unit)} ${STOCK_KIND_WORDS[kind]}.`);
    form.resetField('amount');
  };
  return (
    <View style={{ marginTop: space.xl, gap: space.m }}>
      <Heading>Write down</Heading>
      <Form form={form} act="Write down" save={save}>
        <FormChoices control={control} name="kind" label="What happened" choices={STOCK_KIND_CHOICES} />
        <FormField
          control={control}
          name="amount"
          label={UNIT_WORDS[unit]}
          check={amountCheck}
          keyboard="decimal-pad"
        />
      </Form>
    </View>
  );
}
