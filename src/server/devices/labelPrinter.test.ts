import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { labelPrinterOf, rawPrinter, simulatedPrinter } from './labelPrinter';

const pdf = new TextEncoder().encode('%PDF-1.7 a label');

describe('a label printer', () => {
  it('on the network gets the file as it is', async () => {
    const got: Buffer[] = [];
    const server = net.createServer((socket) => socket.on('data', (part) => got.push(part)));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as net.AddressInfo;
    await rawPrinter('127.0.0.1', port).print({ name: 'one', pdf });
    await new Promise((resolve) => server.close(resolve));
    expect(Buffer.concat(got).equals(Buffer.from(pdf))).toBe(true);
    await expect(rawPrinter('127.0.0.1', port).print({ name: 'two', pdf })).rejects.toThrow(/cannot be reached/);
  });

  it('that is simulated puts each paper into its folder, and keeps the last ones', async () => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-papers-'));
    const printer = simulatedPrinter(folder);
    for (let paper = 1000; paper < 1203; paper += 1) await printer.print({ name: String(paper), pdf });
    const papers = fs.readdirSync(folder).sort();
    expect([papers.length, papers[0], papers.at(-1)]).toEqual([200, '1003.pdf', '1202.pdf']);
    expect(fs.readFileSync(path.join(folder, '1202.pdf')).equals(Buffer.from(pdf))).toBe(true);
    fs.rmSync(folder, { recursive: true });
  });

  it('is the one that the setting names', () => {
    expect(labelPrinterOf(undefined, '/tmp/papers')).toMatchObject({ isSimulated: true, folder: '/tmp/papers' });
    expect(labelPrinterOf('raw://192.168.1.20', '')).toMatchObject({ name: 'Label printer at 192.168.1.20:9100' });
    for (const wrong of ['192.168.1.20', 'raw://', 'raw://a:99999'])
      expect(() => labelPrinterOf(wrong, '')).toThrow(/VB_LABEL_PRINTER/);
  });
});
