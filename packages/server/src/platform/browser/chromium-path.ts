import { existsSync } from 'node:fs'

/**
 * Where Debian puts Chromium. Without the parts that a person would look at it takes less than half the time for a page (measured);
 * the program itself, since the script that starts it stays in between.
 */
const PATHS = ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromium']

/** The one that is named, else the one that is there. */
export const CHROMIUM = process.env.PEBBLESTRAND_CHROMIUM || (PATHS.find((path) => existsSync(path)) ?? PATHS[0]!)
