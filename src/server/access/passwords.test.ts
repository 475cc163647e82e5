/** Anew, as a server that has just been started loads it. */
const loaded = () => import('./passwords');

describe.each([
  ['with argon2', false, /^\$argon2id\$v=19\$m=19456,/],
  ['where argon2 does not install', true, /^\$scrypt\$/],
])('a password %s', (_name, isMissing, form) => {
  beforeEach(() => {
    jest.resetModules();
    if (isMissing) {
      jest.doMock('argon2', () => {
        throw new Error('No part of it was made for this machine.');
      });
    } else jest.dontMock('argon2');
  });

  it('is kept so that it is recognised, and cannot be read', async () => {
    const { hashed, matches } = await loaded();
    const [first, second] = await Promise.all([hashed('seven damp isopods'), hashed('seven damp isopods')]);
    expect(first).toMatch(form);
    // Two who chose the same are not seen to have.
    expect(first).not.toBe(second);
    expect(await matches(first, 'seven damp isopods')).toBe(true);
    expect(await matches(first, 'seven damp isopod')).toBe(false);
  });

  it('is the same on every keyboard, and nobody’s where there is none', async () => {
    const { hashed, matches } = await loaded();
    const composed = await hashed('caf\u00e9 im Regenwald');
    expect(await matches(composed, 'cafe\u0301 im Regenwald')).toBe(true);
    expect(await matches(null, 'anything')).toBe(false);
    expect(await matches(undefined, 'anything')).toBe(false);
  });
});
