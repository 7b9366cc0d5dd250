import { markOfText } from '@pebblestrand/core/methods'
import type { Plan } from '@pebblestrand/core/verify'
import { Sheet, SheetInstall } from './models'

/** So many of one install, the newest: nobody hands a text over more often. */
const MOST = 5

/** The texts of installs that somebody was given, as a check tells them apart. */
export async function handedTexts(
  installIds: readonly string[],
  timeZone: string,
): Promise<Map<string, Plan['handed']>> {
  const held = await SheetInstall.findAll({ where: { installId: [...installIds] } })
  const sheets = await Sheet.findAll({
    where: { id: held.map(({ sheetId }) => sheetId) },
    order: [['madeAt', 'DESC']],
  })
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone })
  const handed = new Map<string, Plan['handed']>()
  for (const { id, toName, toMail, madeAt } of sheets)
    for (const { installId, snippet } of held.filter(({ sheetId }) => sheetId === id)) {
      const mark = markOfText(snippet)
      const known = handed.get(installId) ?? []
      const to = toName || toMail || 'whoever had the link'
      if (!mark || known.length >= MOST || known.some((one) => one.mark === mark && one.to === to)) continue
      handed.set(installId, [...known, { mark, to, day: day.format(madeAt) }])
    }
  return handed
}
