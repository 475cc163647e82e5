/**
 * So many standard deviations off the middle of the normal law a tenth lies beyond, on each side; and a twentieth. Apart from the law
 * itself, which the first screen has no use for. @source table of the standard normal distribution
 */
export const TENTH_SD = 1.2816;
export const TWENTIETH_SD = 1.6449;
