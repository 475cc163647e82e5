import { saveFile } from '../components/saveFile';
import type { Palette } from '../theme/tokens';

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** Under a picture its code is written so far down. px */
const CODE_PX = 15;

type Inks = Pick<Palette, 'ink' | 'ground'>;

/** The wall as it stands on the screen as one SVG: every picture at its place, with its code and the names of the shelves. */
export function wallSvg(wall: HTMLElement, { ink, ground }: Inks): string {
  const boxes = Array.from(wall.querySelectorAll<HTMLElement>('[role="link"]'));
  const frame = wall.getBoundingClientRect();
  // A shelf that slides reaches further than the window.
  const edges = boxes.map((box) => box.getBoundingClientRect());
  const left = Math.min(frame.left, ...edges.map((edge) => edge.left));
  const width = Math.max(frame.right, ...edges.map((edge) => edge.right)) - left;
  const shelves = Array.from(wall.querySelectorAll<HTMLElement>('[role="group"]'));
  // What stands over the first shelf is there to be tapped.
  const top = shelves[0]?.getBoundingClientRect().top ?? frame.top;
  const parts: string[] = [];
  const serializer = new XMLSerializer();
  for (const box of boxes) {
    // Its marks and its picture, which comes last.
    const drawings = Array.from(box.querySelectorAll('svg'));
    for (const svg of drawings) {
      const at = svg.getBoundingClientRect();
      const copy = svg.cloneNode(true) as SVGElement;
      copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
      copy.setAttribute('x', String(at.left - left));
      copy.setAttribute('y', String(at.top - top));
      parts.push(serializer.serializeToString(copy));
    }
    const picture = drawings.at(-1)?.getBoundingClientRect();
    if (!picture) continue;
    const code = box.getAttribute('aria-label')?.split(',')[0] ?? '';
    const [x, y] = [picture.left + picture.width / 2 - left, picture.bottom + CODE_PX - top];
    parts.push(`<text x="${x}" y="${y}" text-anchor="middle" font-weight="bold">${escaped(code)}</text>`);
  }
  for (const shelf of shelves) {
    const at = shelf.getBoundingClientRect();
    const y = at.bottom - top - 8;
    parts.push(`<line x1="0" x2="${width}" y1="${y - 22}" y2="${y - 22}" stroke="${ink}" stroke-width="3"/>`);
    parts.push(`<text x="0" y="${y}">${escaped(shelf.getAttribute('aria-label') ?? '')}</text>`);
  }
  const height = frame.bottom - top;
  const size = `width="${width}" height="${height}"`;
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" ${size} viewBox="0 0 ${width} ${height}" font-family="'Atkinson Hyperlegible', sans-serif" font-size="13" fill="${ink}">
<rect ${size} fill="${ground}"/>
${parts.join('\n')}
</svg>
`;
}

export const exportWall = (wall: HTMLElement, inks: Inks): void =>
  saveFile('wall.svg', wallSvg(wall, inks), 'image/svg+xml');

/** Prints the same drawing, as wide as the paper, from a frame of its own: nothing else of the page is on it. */
export function printWall(wall: HTMLElement, inks: Inks): void {
  const frame = document.createElement('iframe');
  frame.setAttribute('aria-hidden', 'true');
  Object.assign(frame.style, { position: 'fixed', width: '0', height: '0', border: '0' });
  frame.addEventListener('load', () => {
    const inner = frame.contentWindow;
    if (!inner) return;
    const drawing = inner.document.importNode(
      new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement,
      true,
    );
    drawing.setAttribute('width', '100%');
    drawing.removeAttribute('height');
    inner.document.body.append(drawing);
    inner.addEventListener('afterprint', () => frame.remove());
    inner.print();
  });
  const svg = wallSvg(wall, inks);
  document.body.append(frame);
}
