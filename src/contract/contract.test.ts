import { fieldMessages } from './errors';
import { fitRequest } from './housing';
import { careProfile } from './profile';
import { profileOf } from './profiles';
import { checkShippedData } from './shippedData';

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
    ['an unknown kind', { ...valid, profile: 'dragon' }, 'profile', /one of ground-tarantula, tree-tarantula/],
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
  ])('would not with %s', (_name, change, path) => {
    const profile = structuredClone(profileOf('ground-tarantula'));
    const rule = profile.fit.find((each) => each.id === 'gap');
    Object.assign(rule ?? {}, change);
    const parsed = careProfile.safeParse(profile);
    expect(parsed.error?.issues.map((issue) => issue.path.join('.')).join()).toContain(path);
    expect(parsed.success).toBe(false);
  });
});
