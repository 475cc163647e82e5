import fc from 'fast-check';
import { refusalOf } from '@/core/testing/refusalOf';
import { editDistance, nameIndex } from './search';
import { namedOf, synonymsOf } from '@/core/handbook/nameLists';
import { findByName } from '@/core/profiles/knownNames';
import { nowNamed } from './synonyms';

describe('the distance of two words', () => {
  // The textbook pair of Levenshtein's distance, and Damerau's four kinds of error; from memory.
  it.each([
    ['kitten', 'sitting', 3],
    ['pulchra', 'pulchra', 0],
    ['pulcra', 'pulchra', 1],
    ['pulchraa', 'pulchra', 1],
    ['pulxhra', 'pulchra', 1],
    ['puclhra', 'pulchra', 1],
  ])('of %s and %s is %d', (a, b, distance) => {
    expect(editDistance(a, b, 5)).toBe(distance);
    expect(editDistance(b, a, 5)).toBe(distance);
    expect(editDistance(a, b, distance - 1)).toBeNull();
  });

  it('never exceeds the errors that were made', () => {
    const word = fc.stringMatching(/^[a-f]{1,12}$/);
    fc.assert(
      fc.property(word, fc.nat(11), fc.constantFrom('leave', 'put', 'change'), (text, at, error) => {
        const index = Math.min(at, text.length - 1);
        const rest = text.slice(error === 'put' ? index : index + 1);
        const wrong = text.slice(0, index) + (error === 'leave' ? '' : 'g') + rest;
        expect(editDistance(text, wrong, 1)).toBe(1);
      }),
    );
  });
});

describe('the search for a name', () => {
  const index = nameIndex([
    { id: 'pulchra', names: ['Grammostola pulchra', 'Brazilian black tarantula'] },
    { id: 'rosea', names: ['Grammostola rosea', 'Chilean rose tarantula'] },
    { id: 'versicolor', names: ['Caribena versicolor', 'Antilles pinktoe', 'Avicularia versicolor'] },
  ]);
  const first = (typed: string) => index.search(typed, 5)[0];

  it('finds by either name, by an old one, by beginnings in any order, and in spite of errors', () => {
    expect(first('Grammostola pulchra')).toEqual({ id: 'pulchra', by: 'Grammostola pulchra', distance: 0 });
    expect(first('avicularia')).toMatchObject({ id: 'versicolor', by: 'Avicularia versicolor' });
    expect(first('rose')).toMatchObject({ id: 'rosea', by: 'Chilean rose tarantula', distance: 0 });
    expect(first('pul gra')).toMatchObject({ id: 'pulchra' });
    expect(first('gramostola rosae')).toMatchObject({ id: 'rosea' });
    expect(first('pinktoe')).toMatchObject({ id: 'versicolor' });
    expect(index.search('grammostola', 5).map(({ id }) => id)).toEqual(['pulchra', 'rosea']);
    expect(index.search('xylophone', 5)).toEqual([]);
    expect(index.search('  ', 5)).toEqual([]);
  });

  it('bears no error in short words', () => {
    expect(index.search('ros', 5)).toHaveLength(1);
    expect(index.search('rxs', 5)).toEqual([]);
  });
});

describe('names that have changed', () => {
  const synonyms = [
    { name: 'Haplopelma lividum', nowNamed: 'Cyriopagopus lividus' },
    { name: 'Melopoeus lividus', nowNamed: 'Haplopelma lividum' },
  ];

  it('are followed as far as they lead, with what was passed', () => {
    expect(nowNamed('Melopoeus lividus', synonyms)).toEqual({
      name: 'Cyriopagopus lividus',
      via: ['Melopoeus lividus', 'Haplopelma lividum'],
    });
    expect(nowNamed('Melopoeus lividus (Smith, 1996)', synonyms).name).toBe('Cyriopagopus lividus');
    expect(nowNamed('Damon diadema', synonyms)).toEqual({ name: 'Damon diadema', via: [] });
  });

  it('are told when they lead round in a circle', () => {
    const circle = [...synonyms, { name: 'Cyriopagopus lividus', nowNamed: 'Melopoeus lividus' }];
    expect(refusalOf(() => nowNamed('Haplopelma lividum', circle)).fields).toEqual([
      {
        path: 'synonyms',
        message: expect.stringContaining('Haplopelma lividum → Cyriopagopus lividus → Melopoeus lividus → Haplopelma'),
      },
    ]);
  });
});

describe('names that are known', () => {
  const mine = { name: 'Caribena versicolor', commonName: null, synonyms: ['Avicularia versicolor'] };
  const shipped = { name: 'Caribena versicolor', commonName: 'Antilles pinktoe' };
  const blue = { name: 'Cyriopagopus lividus', synonyms: ['Haplopelma lividum'] };

  it('are listed once each, the first of two, with every old name leading to the one in use', () => {
    expect(namedOf([mine, shipped, blue])).toEqual([
      { id: 'Caribena versicolor', names: ['Caribena versicolor', '', 'Avicularia versicolor'] },
      { id: 'Cyriopagopus lividus', names: ['Cyriopagopus lividus', '', 'Haplopelma lividum'] },
    ]);
    expect(synonymsOf([shipped, blue])).toEqual([{ name: 'Haplopelma lividum', nowNamed: 'Cyriopagopus lividus' }]);
  });

  it('are found now or before, with an author or without', () => {
    const list = [shipped, blue];
    expect(findByName(list, 'Haplopelma lividum (Smith, 1996)')).toBe(blue);
    expect(findByName(list, 'Cyriopagopus lividus')).toBe(blue);
    expect(findByName(list, 'Avicularia versicolor')).toBeUndefined();
  });
});
