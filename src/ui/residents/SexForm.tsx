import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import type { Resident } from '@/contract/records';
import { SEX_EVIDENCE, SEXES, type SexEvidence } from '@/core/profiles/profile';
import { Soft } from '../components/Words';
import { needed } from '../forms/checks';
import { Form } from '../forms/Form';
import { FormChoices } from '../forms/FormChoices';
import { useFields } from '../forms/useFields';
import { onDay, TODAY, When } from '../forms/When';
import { EVIDENCE_WORDS } from '@/words/entries';
import { calledWords } from '@/words/residents';
import { capital } from '@/words/text';

interface Values {
  on: string;
  sex: Resident['sex'] | '';
  by: SexEvidence;
}

/** Its sex, and what that was told by; what its kind shows stands beside it. */
export function SexForm({ resident, onDone }: { resident: Resident; onDone: () => void }) {
  const write = useLog((log) => log.write);
  const { sexing = [] } = useHouse((house) => house.care).of(resident);
  const known = sexing.map((each) => each.by);
  const ways = [...known, ...SEX_EVIDENCE.filter((each) => !known.includes(each))];
  const isKnown = resident.sex !== 'unknown';
  const form = useFields<Values>({ on: TODAY, sex: isKnown ? resident.sex : '', by: ways[0] ?? 'size' });
  const save = async ({ on, sex, by }: Values) => {
    if (sex === '') return;
    const text = `${calledWords(resident)}: ${sex}, by ${EVIDENCE_WORDS[by]}.`;
    if (await write({ kind: 'sexed', residentId: resident.id, sex, by, ...onDay(on) }, text, form.place)) onDone();
  };
  return (
    <Form form={form} act="Write down" save={save}>
      <When control={form.control} />
      <FormChoices
        control={form.control}
        name="sex"
        label="Sex"
        // That it is unknown puts right what was thought before.
        choices={SEXES.filter((sex) => isKnown || sex !== 'unknown').map((value) => ({ value, title: value }))}
        check={needed('Choose what it is.')}
      />
      <FormChoices
        control={form.control}
        name="by"
        label="Told by"
        choices={ways.map((value) => ({ value, title: EVIDENCE_WORDS[value] }))}
      />
      {sexing.map((each) => (
        <Soft key={each.how}>{`${capital(EVIDENCE_WORDS[each.by])}: ${each.how} (${each.basis})`}</Soft>
      ))}
    </Form>
  );
}
