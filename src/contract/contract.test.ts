import { z } from 'zod';
import { fieldMessages } from './errors';
import { fitRequest } from './housing';
import { careProfile } from './profile';
import { checkShippedData } from './shippedData';
import { substrateRequest } from './substrate';
import { profileOf } from './testing/profileOf';

const valid = {
  profile: 'ground-tarantula',
  stage: 'adult',
  legSpanMm: 118,
  container: { shape: 'box', lengthMm: 310, widthMm: 240, heightMm: 296, lid: 'solid', vents: [] },
  substrateDepthMm: 98,
};
const vent = { side: 'left', shape: 'hole', count: 3, diameterMm: 4 };
const withVent = (change: object) => ({ ...valid, container: { ...valid.container, vents: [{ ...vent, ...change }] } });

describe('a request', () => {
  it('is taken as it is when it is right', () => {
    expect(fitRequest.parse(valid)).toEqual(valid);
    expect(fitRequest.safeParse(withVent({ centreHeightMm: 200 })).success).toBe(true);
  });

  it.each([
    ['zero', { ...valid, legSpanMm: 0 }, 'legSpanMm', /from 0.5 to 400; got 0/],
    ['negative', { ...valid, legSpanMm: -3 }, 'legSpanMm', /got -3/],
    ['text', { ...valid, legSpanMm: 'NaN' }, 'legSpanMm', /got "NaN"/],
    ['endless', { ...valid, legSpanMm: Infinity }, 'legSpanMm', /from 0.5 to 400/],
    ['ten metres', { ...valid, legSpanMm: 10_000 }, 'legSpanMm', /got 10000/],
    ['another unit', { ...valid, legSpanMm: undefined, legSpanCm: 11.8 }, 'legSpanCm', /millimetres: legSpanMm/],
    ['no id of a kind', { ...valid, profile: 'Dragon!' }, 'profile', /id of a care profile, for example/],
    [
      'a perch over the lid',
      { ...valid, furniture: [{ kind: 'perch', heightMm: 400 }] },
      'furniture.0.heightMm',
      /at most the inside height/,
    ],
    [
      'a slope over the lid',
      { ...valid, soil: { shape: 'slope', frontMm: 300, backMm: 0 }, substrateDepthMm: 150 },
      'soil',
      /nowhere be deeper/,
    ],
    [
      'a depth that is not the mean',
      { ...valid, soil: { shape: 'slope', frontMm: 100, backMm: 60 } },
      'substrateDepthMm',
      /mean depth of the soil, 80/,
    ],
    ['a nest without chambers', { ...valid, nest: { chambers: [] } }, 'nest.chambers', /at least one chamber/],
    [
      'more holes than wall',
      withVent({ count: 2000, diameterMm: 200 }),
      'container.vents.0.count',
      /more than the whole side/,
    ],
    ['a missing stage', { ...valid, stage: undefined }, 'stage', /one of egg/],
    ['soil above the lid', { ...valid, substrateDepthMm: 300 }, 'substrateDepthMm', /at most the inside height, 296/],
    ['no such shape', { ...valid, container: { shape: 'ball' } }, 'container.shape', /box .* or cylinder/],
    [
      'a hole without size',
      withVent({ diameterMm: undefined }),
      'container.vents.0.diameterMm',
      /hole needs diameterMm/,
    ],
    ['a hole wider than its wall', withVent({ diameterMm: 299 }), 'container.vents.0.diameterMm', /296 mm high/],
    ['a hole that leaves its wall', withVent({ centreHeightMm: 295 }), 'container.vents.0.centreHeightMm', /to 294/],
    ['half a hole', withVent({ count: 0.5 }), 'container.vents.0.count', /whole number/],
  ])('with %s is refused at the field', (_name, request, path, message) => {
    const parsed = fitRequest.safeParse(request);
    const fields = parsed.success ? [] : fieldMessages(parsed.error);
    expect(fields).toContainEqual({ path, message: expect.stringMatching(message) });
  });
});

describe('the data that ships', () => {
  it('parses', () => expect(checkShippedData).not.toThrow());

  it.each([
    ['a rule without words for its limit', { min: { plus: 1 }, words: { pass: 'fine' } }, 'words'],
    ['a published number without source', { basis: 'published' }, 'source'],
    ['a rule without limit', { max: undefined }, ''],
    ['an unknown quantity', { quantity: 'colour' }, 'quantity'],
    ['a school nobody listed', { school: 'nobodys' }, 'schools'],
    ['a yardstick its kind does not have', { max: { of: 'youngWidthMm' } }, 'fit'],
    ['both bounds of a gap in one rule', { min: { plus: 1 }, words: { pass: 'a', low: 'b', high: 'c' } }, 'max'],
  ])('would not with %s', (_name, change, path) => {
    const profile = structuredClone(profileOf('ground-tarantula'));
    const rule = profile.fit.find((each) => each.id === 'gap');
    Object.assign(rule ?? {}, change);
    const parsed = careProfile.safeParse(profile);
    expect(parsed.error?.issues.map((issue) => issue.path.join('.')).join()).toContain(path);
    expect(parsed.success).toBe(false);
  });
});

describe('a filling', () => {
  const request = {
    container: valid.container,
    depthMm: 98,
    recipe: [{ material: 'coir', parts: 1 }],
    wetnessFrom: 0,
    wetnessTo: 0.5,
  };

  it('takes depth and wetness in each of their ways', () => {
    for (const depthMm of [98, { frontMm: 120, backMm: 60 }, { shape: 'terraces', depthsMm: [90, 60] }]) {
      expect(substrateRequest.safeParse({ ...request, depthMm }).error).toBeUndefined();
    }
    expect(substrateRequest.safeParse({ ...request, depthMm: undefined, frontMm: 90, backMm: 60 }).success).toBe(true);
    expect(substrateRequest.parse({ ...request, wetnessTo: 'a-drop' }).wetnessTo).toBe(0.85);
  });

  it.each([
    ['no depth', { depthMm: undefined }, 'depthMm', /either depthMm, or frontMm and backMm/],
    ['two depths', { frontMm: 90, backMm: 60 }, 'depthMm', /either depthMm, or frontMm and backMm/],
    ['soil above the lid', { depthMm: 300 }, 'depthMm', /at most the inside height, 296/],
    ['an end above the lid', { depthMm: undefined, frontMm: 60, backMm: 300 }, 'backMm', /got 300/],
    ['no parts', { recipe: [] }, 'recipe', /at least one part/],
    ['parts of nothing', { recipe: [{ material: 'coir', parts: 0 }] }, 'recipe', /All parts are 0/],
    ['an unknown material', { recipe: [{ material: 'gold', parts: 1 }] }, 'recipe.0.material', /one of coir, topsoil/],
    ['an unknown feel', { wetnessTo: 'moist' }, 'wetnessTo', /one of crumbles/],
    ['another unit', { depthCm: 9.8 }, 'depthCm', /millimetres: depthMm/],
  ])('with %s is refused at the field', (_name, change, path, message) => {
    const parsed = substrateRequest.safeParse({ ...request, ...change });
    const fields = parsed.success ? [] : fieldMessages(parsed.error);
    expect(fields).toContainEqual({ path, message: expect.stringMatching(message) });
  });
});

describe('what a schema says nothing about', () => {
  const schema = z.strictObject({
    ...{ name: z.string(), kind: z.enum(['box', 'vial']), version: z.literal(1), isOpen: z.boolean() },
    ...{ parts: z.array(z.int()).min(2), at: z.iso.datetime(), pin: z.string().max(3), depth: z.number().min(3) },
    ...{
      either: z.union([z.string(), z.number()]),
      of: z.discriminatedUnion('is', [z.object({ is: z.literal('a') })]),
    },
  });
  const whole = { name: 'A', kind: 'box', version: 1, isOpen: true, parts: [1, 2], at: '2026-03-14T18:00:00Z' };
  const right = { ...whole, pin: '1', depth: 4, either: 'x', of: { is: 'a' } };

  it.each([
    [{ name: undefined }, 'name', 'Must be a text.'],
    [{ kind: 'tin' }, 'kind', 'Must be one of box, vial.'],
    [{ version: 2 }, 'version', 'Must be 1.'],
    [{ isOpen: 'yes' }, 'isOpen', 'Must be true or false.'],
    [{ parts: [1] }, 'parts', 'Must be a list of at least 2.'],
    [{ parts: ['x', 2] }, 'parts.0', 'Must be a number.'],
    [{ at: 'noon' }, 'at', 'Must be an instant in UTC, for example 2026-03-14T18:00:00Z.'],
    [{ pin: '12345' }, 'pin', 'Must be at most 3 letters long.'],
    [{ depth: 2 }, 'depth', 'Must be at least 3.'],
    [{ either: true }, 'either', 'Must be a text, or a number.'],
    [{ of: { is: 'b' } }, 'of.is', 'Must be one of a.'],
  ])('is said in plain words: %j', (change, path, message) => {
    const parsed = schema.safeParse({ ...right, ...change });
    expect(parsed.success ? [] : fieldMessages(parsed.error)).toEqual([{ path, message }]);
  });
});
