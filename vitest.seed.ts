import fc from 'fast-check'

// Where a change is decided on, the same inputs each time: what it breaks is seen, and chance decides nothing. Elsewhere each run
// draws its own, and what fails there names its seed.
if (process.env.CI) fc.configureGlobal({ seed: 7 })
