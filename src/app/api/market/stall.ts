import { createMarket, type Market } from '@/core/market'

const SEED = 1
const TITLES = 50_000

let open: Market | undefined

/** The simulated marketplace of this server, made at the first question; a research room asks an empty one as it opens. */
export const stall = (): Market => (open ??= createMarket(SEED, TITLES))
