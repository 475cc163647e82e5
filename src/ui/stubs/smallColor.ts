/** What React Native Elements asks of its library of colours, which knows a hundred times as much: other strengths of a hex colour. */
class SmallColor {
  constructor(
    private readonly parts: readonly number[],
    private readonly opacity = 1,
  ) {}
  alpha = (opacity: number) => new SmallColor(this.parts, opacity);
  darken = (share: number) =>
    new SmallColor(
      this.parts.map((part) => part * (1 - share)),
      this.opacity,
    );
  lighten = (share: number) =>
    new SmallColor(
      this.parts.map((part) => Math.min(255, part * (1 + share))),
      this.opacity,
    );
  rgb = () => this;
  string = () => `rgba(${this.parts.map(Math.round).join(', ')}, ${this.opacity})`;
  toString = () => this.string();
  hex = () => `#${this.parts.map((part) => Math.round(part).toString(16).padStart(2, '0')).join('')}`;
}

/** @param text "#fff" or "#ffffff"; anything else is taken for black */
export default function color(text: string | undefined): SmallColor {
  const digits = /^#([\da-f]{6}|[\da-f]{3})$/i.exec(text ?? '')?.[1] ?? '000000';
  const full = digits.length === 3 ? [...digits].map((digit) => digit + digit).join('') : digits;
  return new SmallColor([0, 2, 4].map((at) => parseInt(full.slice(at, at + 2), 16)));
}
