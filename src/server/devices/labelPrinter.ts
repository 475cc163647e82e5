import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { Problem } from '../http/problem';

/** One piece of work for a label printer. */
export interface PrintWork {
  /** Names the file where the printer keeps files. */
  name: string;
  pdf: Uint8Array;
}

/** A label printer, real or simulated. */
export interface LabelPrinter {
  name: string;
  isSimulated: boolean;
  /** Where the papers of a simulated one lie. */
  folder: string | null;
  /** @throws Problem where nothing came out, with what to look at */
  print: (work: PrintWork) => Promise<void>;
}

/** Papers beyond so many are thrown away, the oldest first. Chosen here */
const KEPT_PAPERS = 200;

/** A printer that is a folder: what is printed lies in it. */
export function simulatedPrinter(folder: string): LabelPrinter {
  return {
    ...{ name: 'Simulated label printer', isSimulated: true, folder },
    print: async ({ name, pdf }) => {
      await fs.promises.mkdir(folder, { recursive: true, mode: 0o700 });
      await fs.promises.writeFile(path.join(folder, `${name}.pdf`), pdf, { mode: 0o600 });
      const papers = (await fs.promises.readdir(folder)).filter((each) => each.endsWith('.pdf')).sort();
      for (const old of papers.slice(0, -KEPT_PAPERS)) await fs.promises.rm(path.join(folder, old));
    },
  };
}

/** A printer that says nothing for so long is off, or not there. ms */
const SILENT_MS = 10_000;

/** A printer on the network that prints the PDF it is sent, as many do on port 9100. */
export function rawPrinter(host: string, port: number): LabelPrinter {
  return {
    ...{ name: `Label printer at ${host}:${port}`, isSimulated: false, folder: null },
    print: ({ pdf }) =>
      new Promise((resolve, reject) => {
        const failed = (why: string) => {
          socket.destroy();
          reject(
            new Problem('unreachable', `The label printer at ${host}:${port} ${why}. Nothing is noted as printed.`),
          );
        };
        const socket = net.connect({ host, port, timeout: SILENT_MS });
        socket.on('connect', () => socket.end(pdf));
        socket.on('timeout', () => failed('does not answer'));
        socket.on('error', (error) => failed(`cannot be reached: ${error.message}`));
        socket.on('close', (hadError) => hadError || resolve());
      }),
  };
}

/**
 * The printer that `VB_LABEL_PRINTER` names, `raw://192.168.1.20:9100`; else a simulated one in a folder.
 * @throws naming the setting, where it is no such address
 */
export function labelPrinterOf(address: string | undefined, folder: string): LabelPrinter {
  if (!address) return simulatedPrinter(folder);
  const [, host, port = '9100'] = /^raw:\/\/([^/:]+)(?::(\d{1,5}))?\/?$/.exec(address) ?? [];
  if (host === undefined || Number(port) > 65535)
    throw new Error(
      `VB_LABEL_PRINTER must be the address of a printer, for example raw://192.168.1.20:9100; got ${address}.`,
    );
  return rawPrinter(host, Number(port));
}

/** Where the papers of a house lie that is in no folder. */
export const papersOfNowhere = () => path.join(os.tmpdir(), `verdant-burrow-labels-${process.pid}`);
