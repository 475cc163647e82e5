/** Rooms of an ant nest, the tube that joins it to the outworld, and the outworld. Inside lengths, mm. */
export interface Nest {
  chambers: Room[];
  tubeBoreMm?: number | undefined;
  outworld?: Room | undefined;
}

export interface Room {
  lengthMm: number;
  widthMm: number;
  heightMm: number;
}

/** Volume of all chambers. mL */
export function nestVolumeMl(nest: Nest): number {
  return nest.chambers.reduce((sum, room) => sum + (room.lengthMm * room.widthMm * room.heightMm) / 1000, 0);
}
