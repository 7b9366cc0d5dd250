import { z } from 'zod'

/** A token, as it is given for a code or for an older one (RFC 6749, section 5.1). */
export const TokenAnswer = z.object({
  access_token: z.string().min(1),
  expires_in: z.number().positive(),
  refresh_token: z.string().min(1).optional(),
  /** Whose sources may be read with it. */
  account: z.object({ id: z.string(), name: z.string() }),
})
export type TokenAnswer = z.infer<typeof TokenAnswer>
