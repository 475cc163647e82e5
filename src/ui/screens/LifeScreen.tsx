import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '@/client/api';
import { useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { keeperField } from '@/client/preferences';
import type { Life } from '@/contract/life';
import { countWords } from '@/words/count';
import { fullDayWords } from '@/words/days';
import { calledWords } from '@/words/residents';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { Body, LargeName, Soft, Strong, Title } from '../components/Words';
import { FormChoices } from '../forms/FormChoices';
import { FormDay } from '../forms/FormDay';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { needed } from '../forms/checks';
import { useFields } from '../forms/useFields';
import { Button } from '../kit/Button';
import { useFile } from '../kit/useFile';
import { space } from '../theme/tokens';

/** Takes in an animal that comes with its life from another house. */
export function LifeScreen() {
  const loading = useLoadState();
  const [life, setLife] = useState<Life>();
  const [problem, setProblem] = useState<string>();
  const open = async (file: File) => {
    setProblem(undefined);
    try {
      const read = JSON.parse(await file.text()) as Partial<Life>;
      if (read.resident?.scientificName === undefined || !Array.isArray(read.entries)) throw new Error('no life');
      setLife(read as Life);
    } catch {
      setLife(undefined);
      setProblem(`${file.name} is no file of an animal’s life from another house.`);
    }
  };
  const { choose, input } = useFile({
    ...{ label: 'File of its life', accept: '.json,application/json' },
    onChoose: (file) => void open(file),
  });
  if (loading) return <Screen>{loading}</Screen>;
  return (
    <LifePane key={life?.resident.id} life={life}>
      <PaneHeader back="/residents" title="Residents" />
      <Title>It comes with its life</Title>
      <View style={{ gap: space.m, marginTop: space.m }}>
        <Body>
          Another house that keeps its records here gives an animal its life along, as a file: its moults, its meals,
          those it comes of. They go on in this house.
        </Body>
        {input}
        <Button rank={life ? 'second' : 'main'} title={life ? 'Another file' : 'Choose the file'} onPress={choose} />
        {problem === undefined ? null : <Strong role="alert">{problem}</Strong>}
      </View>
    </LifePane>
  );
}

function LifePane({ life, children }: { life: Life | undefined; children: React.ReactNode }) {
  const { homes, residents, round, load } = useHouse();
  const show = useLog((log) => log.show);
  const form = useFields({ homeId: '', on: round?.on ?? '', from: '' }, (path) => path.split('.')[0] ?? path);
  if (!life) return <Screen>{children}</Screen>;
  const free = homes.filter(({ id }) => !residents.some(({ homeId }) => homeId === id));
  const boxes = [...free, ...homes.filter((home) => !free.includes(home))];
  const { resident, forebears, entries, on } = life;
  const save = async ({ homeId, on: day, from }: typeof form.values) => {
    try {
      const body = { life, homeId, on: day, ...(from.trim() !== '' && { from: from.trim() }), ...keeperField() };
      const reply = await call('takeInLife', { body });
      await load();
      show({ text: `${calledWords(reply.resident)} is here, with ${countWords(reply.entries, 'entry', 'entries')}.` });
      router.replace(`/residents/${reply.resident.id}`);
    } catch (error) {
      form.place(error);
    }
  };
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button
            grow
            title="Take it in"
            disabled={form.formState.isSubmitting}
            onPress={() => void form.handleSubmit(save)()}
          />
        </>
      }
    >
      {children}
      <View style={{ gap: space.m, marginTop: space.l }}>
        <LargeName>{resident.scientificName}</LargeName>
        {resident.called === null ? null : <Strong>{resident.called}</Strong>}
        <Soft>
          {`${countWords(entries.length, 'entry', 'entries')} up to ${fullDayWords(on)}, ${countWords(forebears.length, 'forebear')}.`}
        </Soft>
        <FormChoices
          control={form.control}
          name="homeId"
          label="Into which box"
          check={needed('Choose a box.')}
          choices={boxes.map(({ id, code }) => ({
            value: id,
            title: free.some((home) => home.id === id) ? `${code}, free` : code,
          }))}
        />
        <FormDay control={form.control} name="on" label="It came on" max={round?.on} />
        <FormField control={form.control} name="from" label="From whom" />
      </View>
    </Screen>
  );
}
