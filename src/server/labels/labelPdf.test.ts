import jsQR from 'jsqr';
import { slantedName } from '@/core/measure/slantedName';
import { boxAddress, boxOfCode } from '@/core/labels/boxCode';
import { labelPlaces, type LabelSheet } from '@/core/labels/stock';
import { shippedLabelStocks } from '@/contract/shipped';
import { readPdf } from '../testing/readPdf';
import { labelPdf } from './labelPdf';
import { squaresOf } from './squares';

const ID = '6f1c0d3e-2b4a-4c5d-8e9f-0a1b2c3d4e5f';
const label = (code: string) => ({
  words: {
    code,
    name: slantedName("Cubaris sp. 'Ridge'"),
    commonName: 'Żółw, größer, Ñandú',
    hazards: ['serious venom'],
  },
  url: boxAddress('http://burrow.local:4870', ID),
});

describe('labels as a PDF', () => {
  it('lie on their sheet where the grid has them, with letters of all of Europe, as another reader of PDF finds them', async () => {
    const stock = shippedLabelStocks.find(({ id }) => id === 'a4-21') as LabelSheet;
    const pdf = await labelPdf({ labels: ['A1', 'A2', 'A3'].map(label), stock, startAt: 20, cutMarks: true });
    const pages = await readPdf(pdf);
    expect(pages.map(({ size }) => size.map(Math.round))).toEqual([
      [595, 842],
      [595, 842],
    ]);
    expect(pages.map(({ texts }) => texts.filter(({ text }) => /^A\d/.test(text)).length)).toEqual([2, 1]);
    const read = pages[1]?.words;
    for (const words of ['A3', 'Cubaris', "sp. 'Ridge'", 'größer', 'Ñandú', 'serious venom'])
      expect(read).toContain(words);
    // Split where another file of the font has the letters: together they are what was written.
    expect(read?.replace(/ /g, '')).toContain('Żółw');
    const places = labelPlaces(stock, 3, 20);
    for (const [index, code] of ['A1', 'A2', 'A3'].entries()) {
      const place = places[index] ?? { page: 0, xMm: 0, yMm: 0 };
      const found = pages[place.page]?.texts
        .find(({ text }) => text === code)
        ?.at.map((points) => (points * 25.4) / 72);
      const [x = 0, y = 0] = found ?? [];
      expect(x).toBeGreaterThan(place.xMm);
      expect(x).toBeLessThan(place.xMm + 5);
      expect(297 - y).toBeGreaterThan(place.yMm);
      expect(297 - y).toBeLessThan(place.yMm + stock.heightMm / 2);
    }
  });

  it('of a roll are a page each', async () => {
    const stock = { form: 'tape', widthMm: 62, heightMm: 35 } as const;
    const pages = await readPdf(
      await labelPdf({ labels: [label('A1'), label('A2')], stock, startAt: 1, cutMarks: false }),
    );
    expect(pages.map(({ size }) => size.map((points) => Math.round((points * 25.4) / 72)))).toEqual([
      [62, 35],
      [62, 35],
    ]);
  });

  it('have a code that another reader of codes reads', () => {
    for (const address of ['http://a', 'http://127.0.0.1:4870', `https://${'long-'.repeat(16)}name.example:65535`]) {
      const url = boxAddress(address, ID);
      const { count, isDark } = squaresOf(url);
      const [dots, quiet] = [4, 4];
      const side = (count + 2 * quiet) * dots;
      const picture = new Uint8ClampedArray(side * side * 4).fill(255);
      for (let y = 0; y < side; y += 1)
        for (let x = 0; x < side; x += 1) {
          const [row, column] = [Math.floor(y / dots) - quiet, Math.floor(x / dots) - quiet];
          const isInside = row >= 0 && column >= 0 && row < count && column < count;
          if (isInside && isDark(row, column)) picture.fill(0, (y * side + x) * 4, (y * side + x) * 4 + 3);
        }
      const read = jsQR(picture, side, side)?.data ?? '';
      expect(read).toBe(url);
      expect(boxOfCode(read)).toBe(ID);
    }
  });
});
