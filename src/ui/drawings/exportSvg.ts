import { saveFile } from '../components/saveFile';

/** What the drawing's fonts are called where this program's own files are not at hand. */
const FONT_NAMES: Record<string, string> = {
  'font-family: AtkinsonBold': "font-family: 'Atkinson Hyperlegible', sans-serif; font-weight: bold",
  'font-family: Atkinson;': "font-family: 'Atkinson Hyperlegible', sans-serif;",
};

/** Saves a drawing on the screen as an SVG file that stands on its own. */
export function exportSvg(svg: SVGElement, fileName: string): void {
  const copy = svg.cloneNode(true) as SVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  let text = new XMLSerializer().serializeToString(copy);
  for (const [own, common] of Object.entries(FONT_NAMES)) {
    text = text.replaceAll(own, common);
  }
  saveFile(fileName, `<?xml version="1.0" encoding="UTF-8"?>\n${text}`, 'image/svg+xml');
}
