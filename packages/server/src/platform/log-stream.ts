/**
 * Lines of the log, to standard output. The logger's own stream would try for ever, at the end of the process, to write to a reader that
 * is gone: whoever started a server was killed, and the server stayed.
 */
export const logStream = { write: (line: string) => void process.stdout.write(line) }

/** Nobody reads any more what is said on these; it is said into the void, and nothing else comes of it. */
export function outliveReaders(): void {
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {})
}
