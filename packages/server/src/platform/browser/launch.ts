import { accessSync, constants } from 'node:fs'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser } from 'playwright-core'

/** Mb of script memory a page may take before its tab is ended. */
const HEAP_MB = 256

const switches = [
  '--no-first-run',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-default-apps',
  '--disable-domain-reliability',
  '--disable-breakpad',
  '--no-pings',
  '--mute-audio',
  '--disable-gpu',
  '--renderer-process-limit=6',
  // No address is looked up but by the proxy, this machine's own names too, and nothing goes around it.
  '--proxy-bypass-list=<-loopback>',
  '--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1',
  // Chromium has known it by either name.
  '--webrtc-ip-handling-policy=disable_non_proxied_udp',
  '--force-webrtc-ip-handling-policy=disable_non_proxied_udp',
  `--js-flags=--max-old-space-size=${HEAP_MB}`,
]

/** Whether there is a browser at a path that can be started. */
export function isThere(path: string): boolean {
  try {
    accessSync(path, constants.X_OK)
    return true
  } catch {
    return false
  }
}

/**
 * A script that starts a program behind others: people and visitors are not kept waiting by looks at pages. It is the same
 * process in the end, and what that starts inherits it.
 */
async function withPatience<T>(path: string, start: (script: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'pebblestrand-browser-'))
  try {
    const script = join(folder, 'start')
    await writeFile(script, `#!/bin/sh\nexec nice -n 5 '${path.replaceAll("'", "'\\''")}' "$@"\n`, { mode: 0o700 })
    return await start(script)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** Starts Chromium so that all it asks for goes through the proxy. As root it cannot have a sandbox of its own. */
export const launch = (path: string, proxy: string): Promise<Browser> =>
  withPatience(path, (executablePath) =>
    chromium.launch({
      executablePath,
      proxy: { server: proxy },
      args: [...switches, ...(process.getuid?.() === 0 ? ['--no-sandbox'] : [])],
      handleSIGINT: false,
      handleSIGTERM: false,
      handleSIGHUP: false,
      timeout: 20_000,
    }),
  )
