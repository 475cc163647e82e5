import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHouse } from '@/client/house';
import { useStoreBook } from '@/client/storeBook';
import type { FeederKind } from '@/core/feeding/food';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { ListRow } from '../kit/ListRow';
import { StatusMark } from '../components/StatusMark';
import { Body, Heading, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { amountWords, cuttingsWords, itemName } from '@/words/food';
import { LATE_ORDER, costWords, lastsWords, neededWords, orderDays, stockWords } from '@/words/store';
import { capital } from '@/words/text';
import { useNames } from '@/words/useNames';
import { Cultures } from './Cultures';
import { Failed } from '../kit/Failed';
import { Waiting } from '../kit/Waiting';

/** What is there to eat, what runs out, and what to order this week. */
export function FoodStore({ chosenItem }: { chosenItem: string | undefined }) {
  const names = useNames();
  const today = useHouse((house) => house.round?.on ?? '');
  const { lines, plan, cultures, problem, load } = useStoreBook();
  const row = (item: string) => {
    const line = lines.find((each) => each.item === item);
    const needed = plan?.lines.find((each) => each.item === item);
    const isShort = (needed?.short[0] ?? 0) > 0;
    const isStale = (line?.stale ?? 0) > 0;
    const verdict = isShort ? 'fail' : isStale ? 'watch' : 'pass';
    return (
      <ListRow
        key={item}
        label={itemName(names, item)}
        onPress={() => router.push(`/store/items/${item}`)}
        isChosen={item === chosenItem}
        left={<StatusMark status={verdict} />}
      >
        <Strong>{capital(itemName(names, item))}</Strong>
        <Soft>{line ? stockWords(line, today) : 'none there'}</Soft>
        <Soft>{needed ? `${neededWords(needed)}, ${lastsWords(needed, today)}` : lastsWords(undefined, today)}</Soft>
      </ListRow>
    );
  };
  const shown = (item: string) =>
    lines.some((each) => each.item === item) || plan?.lines.some((each) => each.item === item) === true;
  const foods = names.foods.filter((food) => shown(food.id) && food.kind !== 'leaf');
  const leaves = names.foods.flatMap((food) => {
    const line = food.kind === 'leaf' ? plan?.lines.find((each) => each.item === food.id) : undefined;
    return line ? [{ food, thisWeekG: line.demand[0] ?? 0 }] : [];
  });
  return (
    <View>
      {problem === null ? null : <Failed problem={problem} again={() => void load()} />}
      <ThisWeek />
      {names.feeders.map((kind: FeederKind) => {
        const sizes = kind.classes.filter((each) => shown(each.id));
        return sizes.length === 0 ? null : (
          <View key={kind.id} style={{ marginTop: space.xl }}>
            <Heading>{capital(kind.plural)}</Heading>
            {sizes.map((each) => row(each.id))}
          </View>
        );
      })}
      {foods.length > 0 ? (
        <View style={{ marginTop: space.xl }}>
          <Heading>Other food</Heading>
          {foods.map((food) => row(food.id))}
        </View>
      ) : null}
      {leaves.length > 0 ? (
        <View style={{ marginTop: space.xl, gap: space.xs }}>
          <Heading>To cut</Heading>
          <Soft>From unsprayed plants, rinsed and shaken. What this week takes:</Soft>
          {leaves.map(({ food, thisWeekG }) => (
            <Body key={food.id}>{`${capital(food.name)}: ${cuttingsWords(food, thisWeekG)}`}</Body>
          ))}
        </View>
      ) : null}
      {plan || problem !== null ? (
        <>
          <Cultures cultures={cultures} />
          <AddItem />
        </>
      ) : null}
    </View>
  );
}

/** Orders that are to be sent in the next seven days. */
function ThisWeek() {
  const names = useNames();
  const today = useHouse((house) => house.round?.on ?? '');
  const { plan } = useStoreBook();
  if (!plan) return <Waiting>Working out what is needed…</Waiting>;
  const [first] = orderDays(plan);
  return (
    <View style={{ marginTop: space.l, gap: space.xs }}>
      <Heading>Next order</Heading>
      {first ? (
        <>
          <Strong>{`By ${dayWords(first.by, today)}: ${costWords(first.cost)}`}</Strong>
          {first.lines.map((line) => (
            <Body key={line.item}>
              {`${line.packs} x ${itemName(names, line.item)}, ${amountWords(line.amount, line.unit)}`}
            </Body>
          ))}
          <Soft>{plan.supplier}</Soft>
          {first.isLate ? <Soft>{LATE_ORDER}</Soft> : null}
        </>
      ) : (
        <Body>Nothing is to be ordered in 12 weeks.</Body>
      )}
      <LinkRow links={[{ title: 'All orders, 12 weeks', onPress: () => router.push('/store/orders') }]} />
    </View>
  );
}

/** Anything else that comes into the store for the first time. */
function AddItem() {
  const names = useNames();
  const [kind, setKind] = useState<string>();
  const sizes = names.feeders.find((each) => each.id === kind)?.classes.map((each) => each.id);
  const items =
    sizes ?? (kind === 'food' ? names.foods.filter((food) => food.kind !== 'leaf').map(({ id }) => id) : []);
  return (
    <View style={{ marginTop: space.xl, gap: space.m }}>
      <Heading>Write in something else</Heading>
      <Choices
        label="Kind of food"
        choices={[
          ...names.feeders.map(({ id, plural }) => ({ value: id, title: plural })),
          { value: 'food', title: 'other food' },
        ]}
        value={kind}
        onChange={setKind}
      />
      {items.length > 0 ? (
        <Choices
          label="Which"
          choices={items.map((value) => ({ value, title: itemName(names, value) }))}
          value={undefined}
          onChange={(item) => router.push(`/store/items/${item}`)}
        />
      ) : null}
    </View>
  );
}
