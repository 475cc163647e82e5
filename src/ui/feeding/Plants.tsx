import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { plantWords } from '@/words/plants';
import { calledWords } from '@/words/residents';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft } from '../components/Words';
import { Form } from '../forms/Form';
import { FormField } from '../forms/FormField';
import { useFields } from '../forms/useFields';
import { Fold } from '../kit/Fold';
import { Switch } from '../kit/Switch';
import { space } from '../theme/tokens';

/** Which plants one is given, those of the house among them; nothing for those that eat no leaves. */
export function Plants({ resident }: { resident: Resident }) {
  const { care, foods, load } = useHouse();
  const show = useLog((log) => log.show);
  const { diet } = care.of(resident);
  if (diet?.eats !== 'leaves') return null;
  const own = care.of({ ...resident, plants: undefined }).diet;
  const ofSpecies = own && 'plants' in own ? own.plants : [];
  const plants = foods.filter(({ kind }) => kind === 'leaf');
  const change = async (chosen: string[] | null, text: string) => {
    await call('changeResident', { params: { id: resident.id }, body: { plants: chosen } });
    await load();
    show({ text: `${calledWords(resident)}: ${text}` });
  };
  const toggle = (id: string, name: string) => {
    const isGiven = diet.plants.includes(id);
    if (isGiven && diet.plants.length === 1) return show({ text: 'One plant has to stay.', isProblem: true });
    const chosen = isGiven ? diet.plants.filter((each) => each !== id) : [...diet.plants, id];
    return void change(chosen, isGiven ? `no ${name} any more.` : `${name} too.`);
  };
  // Those it is given first, in their order; then those of its species, then all others.
  const rank = (id: string) => {
    const at = diet.plants.indexOf(id);
    return at >= 0 ? at : 100 + (ofSpecies.includes(id) ? 0 : 100);
  };
  const listed = [...plants].sort((a, b) => rank(a.id) - rank(b.id) || a.name.localeCompare(b.name));
  return (
    <View style={{ marginTop: space.l }}>
      <Fold
        title={`Its plants: ${diet.plants.map((id) => plants.find((each) => each.id === id)?.name ?? id).join(', ')}`}
      >
        <View style={{ gap: space.s }}>
          <Body>The first that is in leaf is given; one that is used to several goes on with them.</Body>
          {listed.map((plant) => (
            <View key={plant.id}>
              <Switch
                label={plant.name}
                value={diet.plants.includes(plant.id)}
                onChange={() => toggle(plant.id, plant.name)}
              />
              <Soft>{plantWords(plant)}</Soft>
            </View>
          ))}
          {resident.plants === undefined ? null : (
            <LinkRow
              links={[
                {
                  title: 'Those of its species again',
                  onPress: () => void change(null, 'the plants of its species again.'),
                },
              ]}
            />
          )}
          <NewPlant onAdded={(id, name) => change([...diet.plants, id], `${name} too.`)} />
        </View>
      </Fold>
    </View>
  );
}

/** A plant that is not in the list, for the whole house. */
function NewPlant({ onAdded }: { onAdded: (id: string, name: string) => Promise<void> }) {
  const loadCare = useHouse((house) => house.loadCare);
  const form = useFields({ name: '', evergreen: false, tough: false, thorny: false });
  const { control, values, setValue } = form;
  const add = async ({ name, evergreen, tough, thorny }: typeof values) => {
    const { plant } = await call('addPlant', { body: { name: name.trim(), evergreen, tough, thorny } });
    await loadCare();
    await onAdded(plant.id, plant.name);
    form.reset();
  };
  return (
    <Fold title="A plant that is not in the list">
      <Form form={form} act="Add this plant" rank="second" save={add}>
        <FormField
          control={control}
          name="name"
          label="Name of the plant"
          hint="For the whole house: from then on it can be given to any."
          check={(text) => text.trim() !== '' || 'Write its name.'}
        />
        {(['evergreen', 'tough', 'thorny'] as const).map((field) => (
          <Switch
            key={field}
            label={QUESTION[field]}
            value={values[field]}
            onChange={(isOn) => setValue(field, isOn)}
          />
        ))}
      </Form>
    </Fold>
  );
}

const QUESTION = {
  evergreen: 'Evergreen',
  tough: 'Too tough for hatchlings',
  thorny: 'Has thorns',
} as const;
