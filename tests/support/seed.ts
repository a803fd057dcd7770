import fc from 'fast-check'

// On the checking machine properties run from one seed, so that a change is judged by itself; elsewhere every run tries new cases.
if (process.env.CI) fc.configureGlobal({ seed: 20261125 })
// Between two commits a few cases are enough.
if (process.env.QUICK) fc.configureGlobal({ ...fc.readConfigureGlobal(), numRuns: 20 })
// The checking machine has twenty minutes for all of it; the deep run tries many.
else if (!process.env.DEEP) fc.configureGlobal({ ...fc.readConfigureGlobal(), numRuns: 35 })
