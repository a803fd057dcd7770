/** How many cases a property tries: few in `npm test`, a quarter of them in `npm test -- quick`, many in `npm run test:deep`. */
export const cases = (few: number, many: number): number =>
  process.env.DEEP ? many : process.env.QUICK ? Math.max(1, Math.round(few / 4)) : few
