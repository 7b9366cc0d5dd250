import { parseArgs } from 'node:util'
import type { CommandResult } from './feed-command'
import { WrongCall } from './wrong-call'

const usage = `bin/pebble feed FILE... [--base URL] [--strict]
    One line of JSON a file: its kind, title, link and normalised items, or the error.
bin/pebble verify --page FILE --plan FILE [--fresh FILE] [--headers FILE] [--strict]
bin/pebble verify --url ADDRESS --plan FILE [--browser] [--allow-private] [--strict]
bin/pebble verify --jobs FILE [--strict]
    The findings and the status for saved pages, for a page on the web, or for many saved pages, a line of JSON
    each. docs/verify-from-the-command-line.md has the formats.

Exit status: 0 done, 1 with --strict and something found, 2 called wrongly or a file cannot be read.`

/** What a command needs is loaded with it: most of the time of a short call is loading. */
async function run(args: string[]): Promise<CommandResult> {
  const [command, ...rest] = args
  if (command === 'feed') {
    const { values, positionals } = parsed(rest, { base: { type: 'string' }, strict: { type: 'boolean' } }, true)
    const { feedCommand } = await import('./feed-command')
    return feedCommand(positionals, values as { base?: string; strict?: boolean })
  }
  if (command === 'verify') {
    const names = {
      page: { type: 'string' },
      plan: { type: 'string' },
      fresh: { type: 'string' },
      headers: { type: 'string' },
      url: { type: 'string' },
      'allow-private': { type: 'boolean' },
      browser: { type: 'boolean' },
      jobs: { type: 'string' },
      strict: { type: 'boolean' },
    } as const
    const { values } = parsed(rest, names, false)
    const { verifyCommand } = await import('./verify-command')
    return verifyCommand(values, new Date())
  }
  throw new WrongCall(command ? `There is no command called ${command}.` : 'Say which command.')
}

function parsed(args: string[], options: Record<string, { type: 'string' | 'boolean' }>, allowPositionals: boolean) {
  try {
    return parseArgs({ args, options, allowPositionals })
  } catch (error) {
    throw new WrongCall((error as Error).message)
  }
}

async function main(): Promise<void> {
  try {
    if (process.argv[2] === 'help' || process.argv.slice(2).some((arg) => arg === '--help' || arg === '-h')) {
      process.stdout.write(`${usage}\n`)
    } else {
      const { lines, complaints, status } = await run(process.argv.slice(2))
      for (const line of lines) process.stdout.write(`${JSON.stringify(line)}\n`)
      for (const complaint of complaints) process.stderr.write(`${complaint}\n`)
      process.exitCode = status
    }
  } catch (error) {
    if (!(error instanceof WrongCall)) throw error
    process.stderr.write(`${error.message}\n\n${usage}\n`)
    process.exitCode = 2
  }
}

// Whoever reads the lines may have had enough, as `head` has.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
  process.exit()
})
void main()
