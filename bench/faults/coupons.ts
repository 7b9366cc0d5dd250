import { plannedForm } from '../planned-form'
import { until, type Ground } from './ground'
import { mailsTo, sendForm } from './sent-form'

const VISITORS = 100

/** A hundred at once, and a list of as many codes. */
export default async function coupons(ground: Ground): Promise<void> {
  const { widgetId, path } = await plannedForm(ground.owner, {
    name: 'A voucher for a hundred',
    starter: 'voucher',
    delivery: {
      reply: true,
      replySubject: 'Your code',
      replyText: 'Here it is: {coupon}',
      coupon: 'list',
      confirm: 'never',
      repliesPerHour: 1000,
    },
  })
  const codes = Array.from({ length: VISITORS }, (_, n) => `PEBBLE-${1000 + n}`)
  await ground.owner.ask('POST', `/api/widgets/${widgetId}/coupons`, { codes: codes.join('\n') })
  const visitors = codes.map((_, n) => `visitor-${n}@coupons-${n}.example`)
  const statuses = await Promise.all(visitors.map((email) => sendForm(path, { email, consent: 'yes' })))
  const left = async () =>
    (await ground.owner.ask<{ coupons: { left: number } }>('GET', `/api/widgets/${widgetId}/form`)).coupons.left
  const written: string[] = []
  const allCame = await until(async () => {
    written.length = 0
    for (const visitor of visitors)
      for (const { text } of await mailsTo(visitor, ground.own.standinsPort))
        written.push(/PEBBLE-\d+/.exec(text)?.[0] ?? 'none')
    return written.length >= VISITORS
  }, 120_000)
  const different = new Set(written).size
  ground.note(
    'a hundred submissions at once against a list of a hundred codes',
    `${statuses.filter((status) => status === 200).length} taken, ${written.length} mails with ${different} different codes, ${await left()} left`,
    allCame && written.length === VISITORS && different === VISITORS && (await left()) === 0,
  )
}
