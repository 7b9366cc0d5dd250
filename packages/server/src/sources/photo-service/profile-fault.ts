import { z } from 'zod'
import type { SourceFault } from '../reading'

const Refusal = z.object({ error: z.string(), handle: z.string().optional() })

const byError: Record<string, SourceFault> = {
  private: {
    code: 'private',
    message: 'This profile shows its posts only to those it lets in.',
    remedy: 'Connect the account that owns it.',
  },
  'not-let-in': {
    code: 'not-let-in',
    message: 'The connected account may not see the posts of this profile.',
    remedy: 'Connect the account that owns it.',
  },
  renamed: {
    code: 'renamed',
    message: 'The profile has another handle now.',
    remedy: 'Find it again by its new handle, or paste its page’s address.',
  },
  closed: {
    code: 'gone',
    message: 'The profile is closed.',
    remedy: 'What was read last stays up. Ask the client where they post now.',
  },
  'no-such-profile': {
    code: 'gone',
    message: 'The service knows no such profile.',
    remedy: 'Look it up there: a handle is often written with dots or underlines.',
  },
}

/** The handle that a profile has now, where that is why it was not found. */
export const newHandle = (answer: unknown): string | undefined => Refusal.safeParse(answer).data?.handle

/** What a refusal of the photo service means, by what it says. */
export const profileFault = (_status: number, answer: unknown): SourceFault | undefined =>
  byError[Refusal.safeParse(answer).data?.error ?? '']
