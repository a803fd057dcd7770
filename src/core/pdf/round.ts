/** Numbers of a file: points to a thousandth. */
export const round = (x: number): number => Math.round(x * 1000) / 1000
