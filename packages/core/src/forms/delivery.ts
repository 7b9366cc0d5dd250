import { z } from 'zod'

// What becomes of what is sent, beyond the page it stood on. It takes effect at once and is no part of a release: who is told, and
// for how long it is kept, is the agency's to decide today for what came yesterday.

const line = (most: number) => z.string().trim().max(most, `must have ${most} letters or fewer`)

/** How often somebody is told: not at all, of each, or once a day of all. */
export const NOTES = { none: 'not at all', each: 'of each at once', daily: 'once a day of all' } as const
export const Notes = z.enum(Object.keys(NOTES) as [keyof typeof NOTES, ...(keyof typeof NOTES)[]])

/** Which code a reply brings: none, one for all, or each the next of a list. */
export const COUPONS = { none: 'no code', fixed: 'one code for all', list: 'the next of a list' } as const

/** Whether somebody has to confirm that an address is theirs before a reply goes there. */
export const CONFIRM = {
  'without-consent': 'if the visitor gave no consent',
  always: 'always',
  never: 'never',
} as const

/** Codes left at which somebody is told. */
export const FEW_COUPONS = 20

export const DeliverySettings = z
  .strictObject({
    /** A mail to who sent it, where they gave an address. */
    reply: z.boolean().default(false),
    replySubject: line(200).default(''),
    replyText: line(5000).default(''),
    coupon: z.enum(Object.keys(COUPONS) as [keyof typeof COUPONS, ...(keyof typeof COUPONS)[]]).default('none'),
    /** The one code for all. */
    code: line(60).default(''),
    /** Whether the address is confirmed first, by a link in a mail of its own. */
    confirm: z
      .enum(Object.keys(CONFIRM) as [keyof typeof CONFIRM, ...(keyof typeof CONFIRM)[]])
      .default('without-consent'),
    /** Words of that mail; '' for the usual ones in the form's language. */
    confirmSubject: line(200).default(''),
    confirmText: line(2000).default(''),
    /** Mails to visitors that this form sends within an hour at the most; more wait for the next. */
    repliesPerHour: z.number().int().min(1, 'must be 1 or more').max(1000, 'must be 1000 or less').default(60),
    noteAgency: Notes.default('each'),
    noteClient: Notes.default('none'),
    /** Where each lead is sent as JSON; '' for nowhere. */
    webhook: z
      .union([z.literal(''), z.url({ protocol: /^https?$/ }).max(2000)], 'must be an address like https://…')
      .default(''),
    /** Days that leads are kept; 0 for ever. */
    keepDays: z.number().int().min(0).max(3650).default(365),
    /** Whether the client sees them on their own page. */
    onClientPage: z.boolean().default(false),
    /** Days between two test submissions by checks; 0 for none. */
    testEvery: z.number().int().min(0).max(30).default(7),
  })
  .superRefine(({ reply, replySubject, replyText, coupon, code, confirmSubject, confirmText }, context) => {
    const say = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    if (coupon === 'fixed' && !code) say('code', 'is missing: nothing would stand in its place')
    if (/[\r\n]/.test(replySubject)) say('replySubject', 'must be one line')
    if (/[\r\n]/.test(confirmSubject)) say('confirmSubject', 'must be one line')
    if (confirmText && !confirmText.includes('{link}'))
      say('confirmText', 'must have {link}: without it nobody can confirm')
    if (!reply) return
    if (!replySubject) say('replySubject', 'must not be empty')
    if (!replyText) say('replyText', 'must not be empty')
    if (coupon !== 'none' && !replyText.includes('{coupon}'))
      say('replyText', 'must have {coupon}: without it nobody gets the code')
    if (coupon === 'none' && /\{coupon\}/.test(`${replySubject}${replyText}`))
      say('replyText', 'has {coupon}, but no code is given')
  })
export type DeliverySettings = z.infer<typeof DeliverySettings>

/** As a form begins. */
export const usualDelivery: DeliverySettings = DeliverySettings.parse({})
