import { router } from 'expo-router';
import { View } from 'react-native';
import { call } from '@/client/api';
import { problemOf, useHouse } from '@/client/house';
import { useLog } from '@/client/log';
import { useStock } from '@/client/stock';
import { groupBy } from '@/core/groupBy';
import { kindOf } from '@/core/profiles/careBook';
import type { CareProfile } from '@/core/profiles/profile';
import { Button } from '../kit/Button';
import { LinkRow } from '../components/LinkRow';
import { useLoadState } from '../components/LoadState';
import { PaneHeader } from '../components/PaneHeader';
import { Screen } from '../components/Screen';
import { makeStyles } from '../components/useStyles';
import { Body, Heading, Soft, Strong, Title } from '../components/Words';
import { saveFile } from '../components/saveFile';
import { numberIn } from '@/core/measure/typedNumber';
import { useConfirm } from '../kit/useConfirm';
import { FormField } from '../forms/FormField';
import { Problems } from '../forms/Problems';
import { useFields } from '../forms/useFields';
import { space } from '../theme/tokens';
import { FURNITURE_WORDS } from '@/words/home';
import { climateNumbers, numbersOf, ruleWords, withClimateNumber, withNumber } from '@/words/profiles';

/**
 * One care profile: what it asks of a home and why; one's own can be changed number by number. Where none is asked for, the
 * one that most of the house is kept by.
 */
export function ProfileScreen({ id: asked }: { id?: string }) {
  const { care, ownProfiles, residents } = useHouse();
  const loading = useLoadState();
  if (loading) return <Screen>{loading}</Screen>;
  const kept = [...groupBy(residents, ({ profile }) => profile)].sort(([, a], [, b]) => b.length - a.length)[0]?.[0];
  const id = asked ?? kept ?? care.profiles[0]?.id ?? '';
  const profile = care.profiles.find((each) => each.id === id);
  if (!profile) {
    return (
      <Screen>
        <PaneHeader back="/profiles" title="Care profiles" />
        <Body>There is no care profile of that name.</Body>
      </Screen>
    );
  }
  return ownProfiles.includes(id) ? (
    <OwnProfile key={JSON.stringify(profile)} profile={profile} />
  ) : (
    <ShippedProfile profile={profile} />
  );
}

function useProfileWork(profile: CareProfile) {
  const { care, loadCare } = useHouse();
  const show = useLog((log) => log.show);
  /** @throws CallFailed with the fields that were refused */
  const work = async (doing: () => Promise<unknown>, text: string, then?: () => void) => {
    await doing();
    await loadCare();
    show({ text });
    then?.();
  };
  const attempt = (...doing: Parameters<typeof work>) =>
    void work(...doing).catch((error: unknown) => show({ text: problemOf(error), isProblem: true }));
  const copy = () => {
    let id = `${profile.id}-own`;
    for (let count = 2; care.has(id); count += 1) id = `${profile.id}-own-${count}`;
    const body = { ...profile, id, kind: kindOf(profile), name: `${profile.name}, ours` };
    attempt(
      () => call('addProfile', { body }),
      `${body.name}: change its numbers.`,
      () => router.replace(`/profiles/${id}`),
    );
  };
  const exportIt = () => saveFile(`${profile.id}.json`, `${JSON.stringify(profile, null, 2)}\n`, 'application/json');
  return { work, attempt, copy, exportIt };
}

function ShippedProfile({ profile }: { profile: CareProfile }) {
  const { copy, exportIt } = useProfileWork(profile);
  return (
    <Screen actions={<Button grow title="Copy and change" onPress={copy} />}>
      <PaneHeader back="/profiles" title="Care profiles" />
      <Title>{profile.name}</Title>
      <LinkRow links={[{ title: 'Save as a file', onPress: exportIt }]} />
      <Summary profile={profile} />
      {profile.fit.map((rule) => (
        <Rule key={`${rule.id} ${rule.school ?? ''}`} profile={profile} rule={rule} />
      ))}
    </Screen>
  );
}

// A dot would be read as a part of a part.
const climateField = (key: string) => `climate/${key.replaceAll('.', '/')}`;
const ruleField = (index: number, key: string) => `fit/${index}/${key.replaceAll('.', '/')}`;
const plainNumber = (text: string) => numberIn(text) !== undefined || 'A number, for example 1.5.';

function OwnProfile({ profile }: { profile: CareProfile }) {
  const { work, attempt, copy, exportIt } = useProfileWork(profile);
  const form = useFields<Record<string, string>>(
    {
      name: profile.name,
      ...Object.fromEntries(
        climateNumbers(profile.climate).map(({ key, value }) => [climateField(key), String(value)]),
      ),
      ...Object.fromEntries(
        profile.fit.flatMap((rule, index) =>
          numbersOf(rule).map(({ key, value }) => [ruleField(index, key), String(value)]),
        ),
      ),
    },
    (path) => path.replace(/\.value$/, '').replaceAll('.', '/'),
  );
  const { control } = form;
  const { ask, dialog } = useConfirm();
  const save = form.handleSubmit(async (typed) => {
    const numberOf = (field: string) => numberIn(typed[field] ?? '');
    const name = (typed.name ?? '').trim();
    const body = {
      ...profile,
      name,
      climate: climateNumbers(profile.climate).reduce((changed, { key }) => {
        const value = numberOf(climateField(key));
        return value === undefined ? changed : withClimateNumber(changed, key, value);
      }, profile.climate),
      fit: profile.fit.map((rule, index) =>
        numbersOf(rule).reduce((changed, { key }) => {
          const value = numberOf(ruleField(index, key));
          return value === undefined ? changed : withNumber(changed, key, value);
        }, rule),
      ),
    };
    const change = () => call('changeProfile', { params: { profileId: profile.id }, body });
    await work(change, `${name}: the new numbers are in force.`).catch(form.place);
  });
  const remove = () =>
    attempt(
      () => call('removeProfile', { params: { profileId: profile.id } }),
      `${profile.name} removed.`,
      () => router.replace('/profiles'),
    );
  return (
    <Screen
      actions={
        <>
          <Problems form={form} />
          <Button grow title="Put in force" onPress={() => void save()} />
        </>
      }
    >
      <PaneHeader back="/profiles" title="Care profiles" />
      <Title>{profile.name}</Title>
      <Soft>Your own. Assign it under “Kept as” of a resident.</Soft>
      <LinkRow
        links={[
          { title: 'Save as a file', onPress: exportIt },
          { title: 'Copy', onPress: copy },
          {
            title: 'Remove',
            onPress: () =>
              ask({
                title: `Remove ${profile.name}?`,
                text: 'Its numbers go for good. Save it as a file first if you may want them again.',
                act: 'Remove',
                run: remove,
              }),
          },
        ]}
      />
      {dialog}
      <FormField control={control} name="name" label="Name" />
      <Summary profile={profile} />
      <Heading style={{ marginVertical: space.s }}>Its air and water</Heading>
      {climateNumbers(profile.climate).map(({ key, label }) => (
        <FormField
          key={key}
          control={control}
          name={climateField(key)}
          label={label}
          check={plainNumber}
          keyboard="decimal-pad"
        />
      ))}
      {profile.fit.map((rule, index) => (
        <Rule key={`${rule.id} ${rule.school ?? ''}`} profile={profile} rule={rule}>
          {numbersOf(rule).map(({ key, label }) => (
            <FormField
              key={key}
              control={control}
              name={ruleField(index, key)}
              label={`${rule.words.pass}: ${label}`}
              check={plainNumber}
              keyboard="decimal-pad"
            />
          ))}
        </Rule>
      ))}
    </Screen>
  );
}

function Summary({ profile: { measure, making, climate, growth, company, schools } }: { profile: CareProfile }) {
  const { mixes } = useStock();
  const names = making.mixes.map((id) => mixes.find((mix) => mix.id === id)?.name ?? id);
  const furniture = making.furniture.map(({ kind, count }) => `${count} x ${FURNITURE_WORDS[kind]}`);
  const lines = [
    `Measured by ${measure.name}: ${measure.howTo}`,
    `Grown at about ${growth.grownMm.value} mm, ${growth.ratioPerMoult.value} times larger at each moult (${growth.ratioPerMoult.basis}).`,
    company.sameKind === 'alone' ? 'Lives alone.' : 'Lives in groups.',
    `Mixes: ${names.join('; ')}.`,
    `Damp end ${making.dampWetness}, dry end ${making.dryWetness} of all the mix holds; ${making.dampSharePct} % of the floor damp.`,
    `Air: ${climate.humidityPct.min} to ${climate.humidityPct.max} % (${climate.humidityPct.basis}), ${climate.temperatureC.min} to ${climate.temperatureC.max} C (${climate.temperatureC.basis}); bears ${climate.bearsHours.value} hours outside.`,
    ...(climate.damping === 'soil' ? [`Damped again when the damp end is under ${climate.dampWetnessMin.value}.`] : []),
    `At least ${climate.airChangesPerHour.value} changes of air an hour.`,
    `Openings: ${making.vents.openSharePct} % of the floor.`,
    ...(furniture.length > 0 ? [`In it: ${furniture.join(', ')}.`] : []),
    ...(schools.length > 0 ? [`Schools: ${schools.map((school) => school.name).join('; ')}.`] : []),
  ];
  return (
    <View style={{ gap: space.xs, marginVertical: space.m }}>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      <Heading style={{ marginTop: space.l }}>Rules for its home</Heading>
    </View>
  );
}

interface RuleProps {
  profile: CareProfile;
  rule: CareProfile['fit'][number];
  children?: React.ReactNode;
}

function Rule({ profile, rule, children }: RuleProps) {
  const styles = useStyles();
  const school = profile.schools.find((each) => each.id === rule.school)?.name;
  const when = [
    rule.stages?.join(', '),
    rule.fromHeadCount === undefined ? undefined : `from ${rule.fromHeadCount} heads`,
    rule.toHeadCount === undefined ? undefined : `up to ${rule.toHeadCount} heads`,
    school,
  ].filter((word) => word !== undefined);
  return (
    <View style={styles.rule}>
      <Strong>{rule.words.pass}</Strong>
      <Body>{ruleWords(rule)}</Body>
      <Soft>{rule.why}</Soft>
      <Soft>{[`${rule.basis}${rule.source === undefined ? '' : ` (${rule.source})`}`, ...when].join('; ')}</Soft>
      {children}
    </View>
  );
}

const useStyles = makeStyles((theme) => ({
  rule: { gap: space.xs, paddingVertical: space.m, borderBottomWidth: 1, borderBottomColor: theme.colors.line },
}));
