/** How many cases a property tries: few in `npm test`, fewer still in `npm test -- quick`, many in `npm run test:deep`. */
export const cases = (few: number, many: number): number =>
  process.env.DEEP ? many : Math.max(1, Math.round(few / (process.env.QUICK ? 4 : 3)))
