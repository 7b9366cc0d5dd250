import { z } from 'zod'
import { IdParams, line, paged, Paging, Time } from './fields'
import { route } from './route'

export const roles = ['owner', 'member'] as const
export const Role = z.enum(roles)
export type Role = z.infer<typeof Role>

const Email = z.email('must be an e-mail address').max(200, 'must have 200 letters or fewer')

const Password = z.string('is missing').min(1, 'is missing').max(500, 'must have 500 letters or fewer')
/** OWASP ASVS 4.0.3, 2.1.1 and 2.1.2; whether it is easily guessed is the server's to say. */
const NewPassword = z
  .string('is missing')
  .min(12, 'must have 12 characters or more')
  .max(500, 'must have 500 letters or fewer')

/** Where someone is signed in. */
const SessionRow = z.object({
  id: z.uuid(),
  /** The one that asks. */
  own: z.boolean(),
  /** Browser and system, as it calls itself, in short. */
  browser: z.string(),
  createdAt: Time,
  seenAt: Time,
  endsAt: Time,
})

export const signInEvents = ['signed-in', 'sign-in-failed', 'locked-out', 'password-changed'] as const
const SignInRow = z.object({ at: Time, event: z.enum(signInEvents), browser: z.string(), address: z.string() })

export const Person = z.object({ id: z.uuid(), name: z.string(), email: z.string(), role: Role })

const SignedIn = z.object({ user: Person, csrf: z.string(), agency: z.string() })
const SignedOut = z.object({ user: z.null(), setup: z.boolean().optional(), demo: z.boolean().optional() })

export const accountRoutes = {
  session: route({
    method: 'GET',
    path: '/api/session',
    may: 'anyone',
    summary: 'Who is signed in, with the token that changes must carry',
    answer: z.union([SignedIn, SignedOut]),
  }),
  signIn: route({
    method: 'POST',
    path: '/api/session',
    may: 'anyone',
    summary: 'Sign in',
    body: z.object({
      email: Email,
      password: Password,
    }),
    answer: SignedIn,
  }),
  signOut: route({
    method: 'DELETE',
    path: '/api/session',
    may: 'anyone',
    summary: 'Sign out',
    answer: SignedOut,
  }),
  setupState: route({
    method: 'GET',
    path: '/api/setup',
    may: 'anyone',
    summary: 'Whether the first account can still be made',
    answer: z.object({ open: z.boolean() }),
  }),
  setUp: route({
    method: 'POST',
    path: '/api/setup',
    may: 'anyone',
    summary: 'Make the owner’s account, with the key printed where the server was started',
    body: z.object({
      key: line(100),
      agency: line(80),
      name: line(80),
      email: Email,
      password: NewPassword,
    }),
    answer: SignedIn,
  }),
  changePassword: route({
    method: 'POST',
    path: '/api/account/password',
    may: 'member',
    summary: 'Change one’s password; all other sessions end',
    body: z.object({ current: Password, wanted: NewPassword }),
    answer: z.object({ ended: z.number() }),
  }),
  sessions: route({
    method: 'GET',
    path: '/api/account/sessions',
    may: 'member',
    summary: 'Where one is signed in, the newest first',
    query: Paging,
    answer: paged(SessionRow),
  }),
  endSession: route({
    method: 'DELETE',
    path: '/api/account/sessions/:id',
    may: 'member',
    summary: 'Sign out somewhere else',
    params: IdParams,
    answer: z.object({ ended: z.number() }),
  }),
  endOthers: route({
    method: 'DELETE',
    path: '/api/account/sessions',
    may: 'member',
    summary: 'Sign out everywhere but here',
    answer: z.object({ ended: z.number() }),
  }),
  signIns: route({
    method: 'GET',
    path: '/api/account/sign-ins',
    may: 'member',
    summary: 'Sign-ins to one’s account and what failed, the newest first',
    query: Paging,
    answer: paged(SignInRow),
  }),
}
