import { useState } from 'react';
import { View } from 'react-native';
import { addDays, type Day } from '@/core/measure/day';
import { SKIP_REASONS, type Job, type SkipReason } from '@/core/plan/work';
import { Choices } from '../kit/Choices';
import { Soft } from '../components/Words';
import { space } from '../theme/tokens';
import { dayWords } from '@/words/days';
import { SKIP_WORDS } from '@/words/doing';

/** It is asked again after so many days. */
const LATER_DAYS = [1, 3, 7] as const;

interface Props {
  job: Job;
  today: Day;
  onPutOff: (until: Day, why: SkipReason) => void;
}

/** Not today: when again, and why. One tap on the reason puts it off. */
export function PutOff({ job, today, onPutOff }: Props) {
  const [days, setDays] = useState<string>('1');
  const until = addDays(today, Number(days));
  return (
    <View style={{ gap: space.s, marginTop: space.s }}>
      <Soft>
        {job.cannotWait
          ? `It was to be done by ${dayWords(job.until, today)}.`
          : `It can wait until ${dayWords(job.until, today)}.`}
        {job.lighterIn === undefined
          ? ''
          : ` On ${dayWords(addDays(today, job.lighterIn), today)} there is less to do.`}
      </Soft>
      <Choices
        label="Ask again"
        choices={LATER_DAYS.map((each) => ({ value: String(each), title: dayWords(addDays(today, each), today) }))}
        value={days}
        onChange={setDays}
      />
      <Choices
        label="Put off, because"
        choices={SKIP_REASONS.map((value) => ({ value, title: SKIP_WORDS[value] }))}
        value={undefined}
        onChange={(why) => onPutOff(until, why)}
      />
    </View>
  );
}
