import { emptyHouse, type House } from './house';

/** What seals itself in, or stops eating, does so for a moult only where its kind moults: a snail never does, a grown scorpion no more. */
describe('left alone without a moult', () => {
  let house: House;
  beforeEach(async () => {
    house = await emptyHouse('2026-05-20');
    await house.box('S1', 'flat-4', { soilMm: 60 });
  });
  const why = async (who: { id: string }) => {
    const offer = { kind: 'offered', residentId: who.id, preyCount: 1, preyLengthMm: 5 };
    return JSON.stringify((await house.post('/api/entries', offer)).body.error ?? {});
  };

  it('a sealed snail is looked at after a while, and nobody waits for its skin', async () => {
    const snail = await house.takeIn('Cornu aspersum', 'S1', { stage: 'adult', bodyLengthMm: 32 });
    await house.write('sign', snail, { sign: 'sealed' });
    await house.days(61);
    expect((await house.job(snail, 'look'))?.reason).toMatchObject({ code: 'quiet-over', mayMoult: false });
  });

  it('a grown scorpion that dug itself in is not about to moult', async () => {
    const scorpion = await house.takeIn('Heterometrus silenus', 'S1', { stage: 'adult', bodyLengthMm: 110 });
    await house.write('sign', scorpion, { sign: 'sealed' });
    expect(await why(scorpion)).toContain('wants to be left alone');
    await house.days(61);
    expect((await house.job(scorpion, 'look'))?.reason).toMatchObject({ code: 'quiet-over', mayMoult: false });
  });

  it('a grown mantis hangs to rest, and is fed all the same; a nymph that hangs is not', async () => {
    await house.box('M1', 'tall-2');
    const fed = async (stage: string, bodyLengthMm: number) => {
      const mantis = await house.takeIn('Hierodula membranacea', 'M1', { stage, bodyLengthMm });
      await house.days(9);
      await house.write('sign', mantis, { sign: 'hanging' });
      const kinds = await house.kinds(mantis);
      await house.write('passed-on', mantis);
      return kinds.includes('feed');
    };
    expect(await fed('adult', 85)).toBe(true);
    expect(await fed('nymph', 45)).toBe(false);
  });

  it('a young scorpion that seals itself in is about to', async () => {
    const young = await house.takeIn('Heterometrus silenus', 'S1', { stage: 'juvenile', bodyLengthMm: 60 });
    await house.write('sign', young, { sign: 'sealed' });
    expect(await why(young)).toContain('about to moult');
  });
});
