export function stepBack(): void;
