import { NoPicture } from './no-picture'
import { makeCopies } from './resize'

// A process of its own, started by copies.ts: what a picture costs, or breaks, it costs here.

process.on('message', ({ bytes }: { bytes: Uint8Array }) => {
  makeCopies(bytes).then(
    (copied) => process.send!({ copied }),
    (error: Error) =>
      process.send!(error instanceof NoPicture ? { noPicture: error.message } : { fault: error.message }),
  )
})
process.on('disconnect', () => process.exit(0)) // who started it is gone
