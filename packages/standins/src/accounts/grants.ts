import { createHash, randomBytes } from 'node:crypto'
import { z } from 'zod'

const ACCESS_MS = 3_600_000
const REFRESH_MS = 30 * 86_400_000
const CODE_MS = 300_000

interface Grant {
  account: string
  /** Epoch ms. */
  until: number
}

/** What a service with accounts remembers: by code, by access token, by refresh token. */
export interface Grants {
  codes: Record<string, Grant & { challenge: string; redirect: string }>
  access: Record<string, Grant>
  refresh: Record<string, Grant>
}

export const noGrants = (): Grants => ({ codes: {}, access: {}, refresh: {} })

export interface Account {
  id: string
  name: string
}

/** What a program hands in for a token. */
const Asked = z.discriminatedUnion('grant_type', [
  z.object({
    grant_type: z.literal('authorization_code'),
    code: z.string(),
    code_verifier: z.string(),
    redirect_uri: z.string(),
  }),
  z.object({ grant_type: z.literal('refresh_token'), refresh_token: z.string() }),
])

/** Codes and tokens of a service's accounts (RFC 6749 with RFC 7636). */
export class GrantDesk {
  constructor(
    readonly accounts: readonly Account[],
    private readonly state: () => Readonly<Grants>,
    private readonly change: (edit: (grants: Grants) => void) => void,
  ) {}

  /** Whose a request is: null where nobody is named, 'expired' where the token is good for nothing any more. */
  accountOf(authorization: string | undefined): string | null | 'expired' {
    const token = /^Bearer (.+)$/.exec(authorization ?? '')?.[1]
    if (!token) return null
    const grant = this.state().access[token]
    return grant && grant.until > Date.now() ? grant.account : 'expired'
  }

  /** A code to be handed in for a token. */
  codeFor(account: string, challenge: string, redirect: string): string {
    const code = randomBytes(18).toString('base64url')
    this.change(({ codes }) => (codes[code] = { account, until: Date.now() + CODE_MS, challenge, redirect }))
    return code
  }

  /** A token for what is handed in; the error of RFC 6749, section 5.2, where there is none for it. */
  tokenFor(body: unknown) {
    const asked = Asked.safeParse(body)
    if (!asked.success) return { error: 'invalid_request' }
    const account =
      asked.data.grant_type === 'refresh_token'
        ? this.spent('refresh', asked.data.refresh_token)
        : this.codeSpent(asked.data)
    return account ? this.granted(account) : { error: 'invalid_grant' }
  }

  /** A code or token counts once. */
  private spent(what: 'refresh' | 'codes', key: string): string | null {
    const grant = this.state()[what][key]
    if (!grant) return null
    this.change((grants) => delete grants[what][key])
    return grant.until > Date.now() ? grant.account : null
  }

  /** RFC 7636, section 4.6: the verifier's hash is what was sent with the question. */
  private codeSpent(asked: { code: string; code_verifier: string; redirect_uri: string }): string | null {
    const code = this.state().codes[asked.code]
    const account = this.spent('codes', asked.code)
    const challenge = createHash('sha256').update(asked.code_verifier).digest('base64url')
    return code && code.challenge === challenge && code.redirect === asked.redirect_uri ? account : null
  }

  private granted(account: string) {
    const [access, refresh] = [randomBytes(24).toString('base64url'), randomBytes(24).toString('base64url')]
    this.change((grants) => {
      grants.access[access] = { account, until: Date.now() + ACCESS_MS }
      grants.refresh[refresh] = { account, until: Date.now() + REFRESH_MS }
    })
    const { id, name } = this.accounts.find((one) => one.id === account)!
    return {
      access_token: access,
      token_type: 'Bearer',
      expires_in: ACCESS_MS / 1000,
      refresh_token: refresh,
      account: { id, name },
    }
  }
}
