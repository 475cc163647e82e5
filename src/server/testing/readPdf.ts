import { getDocument } from 'pdfjs-dist/legacy/build/pdf';

/** A piece of text on a page, and where it begins. Points from the lower left */
export interface TextOnPage {
  text: string;
  at: readonly [x: number, y: number];
}

export interface PageRead {
  size: readonly [width: number, height: number];
  texts: TextOnPage[];
  /** All of it, from above, with single spaces. */
  words: string;
}

/** What another reader of PDF finds on each page of a file. */
export async function readPdf(data: Uint8Array): Promise<PageRead[]> {
  const document = await getDocument({ data, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, index) => {
      const page = await document.getPage(index + 1);
      const items = (await page.getTextContent()).items.flatMap((item) => ('str' in item ? [item] : []));
      const [, , width = 0, height = 0] = page.view;
      return {
        size: [width, height],
        texts: items
          .filter(({ str }) => str.trim() !== '')
          .map(({ str, transform }) => ({ text: str.trim(), at: [transform[4] as number, transform[5] as number] })),
        words: items
          .map(({ str }) => str)
          .join(' ')
          .replace(/\s+/g, ' '),
      };
    }),
  );
}
