/** Something the person who started it can mend; said in one line, without a stack. */
export class Complaint extends Error {}

/** Runs `main`; a complaint ends it with one clear line. */
export function orComplain(main) {
  main().catch((error) => {
    process.stderr.write(error instanceof Complaint ? `${error.message}\n` : `${error?.stack ?? error}\n`)
    process.exit(1)
  })
}
