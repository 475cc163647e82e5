/** An amount as it is poured: to the millilitre when small, to five, then to ten. mL */
export function pouredMl(waterMl: number): number {
  const step = waterMl < 20 ? 1 : waterMl < 100 ? 5 : waterMl < 500 ? 10 : 50;
  return Math.max(1, Math.round(waterMl / step) * step);
}
