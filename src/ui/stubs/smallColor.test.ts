import color from './smallColor';

it('makes a colour weaker, darker and lighter, and takes what it does not know for black', () => {
  expect(color('#204060').alpha(0.5).rgb().string()).toBe('rgba(32, 64, 96, 0.5)');
  expect(color('#204060').darken(0.5).hex()).toBe('#102030');
  expect(color('#fff').lighten(0.2).toString()).toBe('rgba(255, 255, 255, 1)');
  expect([color('red').hex(), color(undefined).hex()]).toEqual(['#000000', '#000000']);
});
