import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf } from '@/client/house';
import { useLog } from '@/client/log';
import type { Probe } from '@/contract/readings';
import { PROBE_FAULTS } from '@/core/readings/simulatedProbe';
import type { Climate } from '@/core/profiles/profile';
import { Choices } from '../kit/Choices';
import { LinkRow } from '../components/LinkRow';
import { Body, Soft, Strong } from '../components/Words';
import { space } from '../theme/tokens';
import { FAULT_WORDS, KIND_WORDS, PLACE_WORDS, valuesWords } from '@/words/air';
import { dayWords, timeWords } from '@/words/days';
import { useTemperature } from '@/words/temperature';
import { ProbeCourse } from './ProbeCourse';

interface Props {
  probes: Probe[];
  climate?: Climate | undefined;
  today: string;
  onChange: () => Promise<void>;
}

/** The probes of a home or a room: what each said last, its course, and what can be done about it. */
export function ProbeList({ probes, climate, today, onChange }: Props) {
  if (probes.length === 0) return <Soft>No probe here yet.</Soft>;
  return (
    <View>
      {probes.map((probe) => (
        <OneProbe key={probe.id} probe={probe} climate={climate} today={today} onChange={onChange} />
      ))}
    </View>
  );
}

function OneProbe({ probe, climate, today, onChange }: Omit<Props, 'probes'> & { probe: Probe }) {
  const temperature = useTemperature();
  const show = useLog((log) => log.show);
  const [isOpen, setOpen] = useState(false);
  const [token, setToken] = useState<string | null>(null);
  const attempt = async (work: () => Promise<void>) => {
    try {
      await work();
      await onChange();
    } catch (error) {
      show({ text: problemOf(error), isProblem: true });
    }
  };
  const remove = () =>
    void attempt(async () => {
      await call('removeProbe', { params: { id: probe.id } });
      show({ text: `${probe.name} and its readings removed.` });
    });
  const renew = () =>
    void attempt(async () => setToken((await call('renewToken', { params: { id: probe.id } })).token));
  const { latest } = probe;
  const said = latest
    ? `${valuesWords(latest, temperature)}, ${dayWords(latest.at.slice(0, 10), today)} ${timeWords(latest.at)}`
    : 'has said nothing yet';
  return (
    <View style={{ paddingVertical: space.s }}>
      <Strong>{probe.name}</Strong>
      <Body>{said}</Body>
      <Soft>{`${PLACE_WORDS[probe.place]}, ${KIND_WORDS[probe.kind]}${probe.fault === 'none' ? '' : `, ${FAULT_WORDS[probe.fault]}`}`}</Soft>
      <LinkRow
        links={[
          {
            title: isOpen ? `Hide the course of ${probe.name}` : `Course of ${probe.name}`,
            onPress: () => setOpen(!isOpen),
          },
          ...(probe.kind === 'device' ? [{ title: `New token for ${probe.name}`, onPress: renew }] : []),
          ...(isOpen ? [{ title: `Remove ${probe.name} with its readings`, onPress: remove }] : []),
        ]}
      />
      {token !== null ? <Token token={token} /> : null}
      {probe.kind === 'simulated' && isOpen ? (
        <View style={{ gap: space.s, paddingBottom: space.m }}>
          <Soft>A stand-in that follows the forecast of its home. Give it a fault to see the alarms:</Soft>
          <Choices
            label={`Fault of ${probe.name}`}
            choices={PROBE_FAULTS.map((fault) => ({ value: fault, title: FAULT_WORDS[fault] }))}
            value={probe.fault}
            onChange={(fault) =>
              void attempt(async () => {
                await call('changeProbe', { params: { id: probe.id }, body: { fault } });
                show({ text: `${probe.name} ${FAULT_WORDS[fault]} from now on.` });
              })
            }
          />
        </View>
      ) : null}
      {isOpen ? <ProbeCourse probe={probe} climate={climate} today={today} /> : null}
    </View>
  );
}

/** A token is shown once: the server keeps only its digest. */
export function Token({ token }: { token: string }) {
  return (
    <View style={{ gap: space.xs, paddingVertical: space.s }} aria-live="polite">
      <Strong>Its token, shown this once:</Strong>
      <Body selectable style={{ wordBreak: 'break-all' } as never}>
        {token}
      </Body>
      <Soft>
        {`The device posts {"temperatureC": 23.4, "relativeHumidityPct": 81} to /api/readings with the header Authorization: Bearer and this token; over MQTT it is the password.`}
      </Soft>
    </View>
  );
}
