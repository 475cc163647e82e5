import { saveFile } from '../drawings/exportSvg';

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** The wall as it stands on the screen as one SVG: every picture at its place, with its code and the names of the shelves. */
export function wallSvg(wall: HTMLElement, ink: string, ground: string): string {
  const frame = wall.getBoundingClientRect();
  const parts: string[] = [];
  const serializer = new XMLSerializer();
  for (const box of Array.from(wall.querySelectorAll<HTMLElement>('[role="link"]'))) {
    const svg = box.querySelector('svg');
    if (!svg) continue;
    const at = svg.getBoundingClientRect();
    const copy = svg.cloneNode(true) as SVGElement;
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
    copy.setAttribute('x', String(at.left - frame.left));
    copy.setAttribute('y', String(at.top - frame.top));
    parts.push(serializer.serializeToString(copy));
    const code = box.getAttribute('aria-label')?.split(',')[0] ?? '';
    const [x, y] = [at.left + at.width / 2 - frame.left, at.bottom + 15 - frame.top];
    parts.push(`<text x="${x}" y="${y}" text-anchor="middle" font-weight="bold">${escaped(code)}</text>`);
  }
  for (const shelf of Array.from(wall.querySelectorAll<HTMLElement>('[role="group"]'))) {
    const at = shelf.getBoundingClientRect();
    const y = at.bottom - frame.top - 8;
    parts.push(`<line x1="0" x2="${frame.width}" y1="${y - 22}" y2="${y - 22}" stroke="${ink}" stroke-width="3"/>`);
    parts.push(`<text x="0" y="${y}">${escaped(shelf.getAttribute('aria-label') ?? '')}</text>`);
  }
  const size = `width="${frame.width}" height="${frame.height}"`;
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" ${size} viewBox="0 0 ${frame.width} ${frame.height}" font-family="'Atkinson Hyperlegible', sans-serif" font-size="13" fill="${ink}">
<rect ${size} fill="${ground}"/>
${parts.join('\n')}
</svg>
`;
}

export const exportWall = (wall: HTMLElement, ink: string, ground: string): void =>
  saveFile('wall.svg', wallSvg(wall, ink, ground), 'image/svg+xml');
