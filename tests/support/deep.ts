/** How many cases a property tries: few in `npm test`, many in `npm run test:deep`. */
export const cases = (few: number, many: number): number => (process.env.DEEP ? many : few)
