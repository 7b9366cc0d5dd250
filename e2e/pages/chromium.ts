import { CHROMIUM } from '../../packages/server/src/platform/browser/chromium-path'

/** How Chromium is started: `localhost` and every name below it lead to `loopback`. */
export const chromiumAt = (loopback: string) => ({
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    `--host-resolver-rules=MAP localhost ${loopback}, MAP *.localhost ${loopback}`,
  ],
})
