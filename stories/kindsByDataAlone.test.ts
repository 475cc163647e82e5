import { emptyHouse } from './house';

const DAY = '2026-03-14';
const VENTS = ['left', 'right'].map((side) => ({
  side,
  shape: 'hole',
  count: 8,
  diameterMm: 2.5,
  centreHeightMm: 200,
}));
const MESH = {
  side: 'lid',
  shape: 'slot',
  count: 2,
  widthMm: 80,
  heightMm: 60,
  meshApertureMm: 0.8,
  meshOpenFraction: 0.4,
};
const box = (lengthMm: number, widthMm: number, heightMm: number, more: object = {}) => ({
  ...{ shape: 'box', lengthMm, widthMm, heightMm, lid: 'solid', lidFit: 'click', walls: 'plastic', opens: 'top' },
  ...{ vents: VENTS, ...more },
});

/** Kinds for which no code was written: what each is called, where it is kept well, and what its keeper has to expect. */
const KINDS = [
  {
    ...{ typed: 'vietnamese centipede', name: 'Scolopendra subspinipes', kind: 'giant-centipede' },
    ...{ container: box(360, 220, 330), soilMm: 100, facts: { stage: 'adult', bodyLengthMm: 160 } },
    ...{ danger: 'serious-venom' },
  },
  {
    ...{ typed: 'giant vinegaroon', name: 'Mastigoproctus giganteus', kind: 'vinegaroon' },
    ...{ container: box(300, 220, 300), soilMm: 160, facts: { stage: 'adult', bodyLengthMm: 58 } },
    ...{ danger: 'spray' },
  },
  {
    ...{ typed: 'rowells velvet worm', name: 'Euperipatoides rowelli', kind: 'velvet-worm' },
    ...{
      container: box(260, 180, 150, { vents: [] }),
      soilMm: 60,
      facts: { stage: 'adult', headCount: 4, bodyLengthMm: 40 },
    },
    ...{ danger: null },
  },
  {
    ...{ typed: 'blue death feigning beetle', name: 'Asbolus verrucosus', kind: 'desert-darkling-beetle' },
    ...{ container: box(300, 200, 160, { vents: [MESH] }), soilMm: 60, facts: { stage: 'adult', headCount: 6 } },
    ...{ danger: 'defence-liquid' },
  },
] as const;

describe.each(KINDS)('$typed', ({ typed, name, kind, container, soilMm, facts, danger }) => {
  it('is known by its name, and is of its kind without being told', async () => {
    const house = await emptyHouse(DAY);
    const { found } = await house.compute('names', { typed });
    expect(found[0].id).toBe(name);
    await house.box('A1', container, { soilMm });
    const animal = await house.takeIn(name, 'A1', facts);
    expect((await house.resident(animal)).profile).toBe(kind);
  });

  it('fits where it is kept well, and not in a vial', async () => {
    const house = await emptyHouse(DAY);
    await house.box('A1', container, { soilMm, litterDepthMm: kind === 'velvet-worm' ? 25 : 0 });
    await house.box('A2', 'vial-large', { soilMm: 20 });
    const verdicts = new Map(
      (await house.ranking({ profile: kind, scientificName: name, ...facts })).map(({ code, verdict }) => [
        code,
        verdict,
      ]),
    );
    expect(verdicts.get('A1')).not.toBe('fail');
    expect(verdicts.get('A2')).toBe('fail');
  });

  it('is told of a box to buy that serves it, now and grown', async () => {
    const house = await emptyHouse(DAY);
    const { steps, endsAtMm } = await house.compute('size-ladder', { profile: kind, ...facts });
    expect(steps.length).toBeGreaterThan(0);
    expect(endsAtMm).toBeNull();
  });

  it('is fed, forecast, told about, and answered for everywhere', async () => {
    const house = await emptyHouse(DAY);
    await house.box('A1', container, { soilMm });
    const animal = await house.takeIn(name, 'A1', { ...facts, on: '2026-02-01' });
    expect(await house.kinds(animal)).toContain('feed');
    expect(await house.silent(animal)).toEqual([]);
    const card = await house.bytes(`/api/paper/card.pdf?name=${encodeURIComponent(name)}`);
    expect(Buffer.from(card.subarray(0, 5)).toString()).toBe('%PDF-');
    const { hazards } = (await house.get('/api/species')).body;
    const dangers = hazards.kinds.flatMap(({ profiles, cautions }: { profiles: string[]; cautions: string[] }) =>
      profiles.includes(kind) ? cautions : [],
    );
    expect(dangers.includes(danger ?? 'none')).toBe(danger !== null);
    const { ranked } = await house.compute('trouble', { profile: kind, yes: [], no: [] });
    expect(ranked.length).toBeGreaterThan(5);
  });
});
