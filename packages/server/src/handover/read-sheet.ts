import {
  fewestSteps,
  isFinished,
  outcomeOf,
  sheetWords,
  type Sheet as Shown,
  type SheetItem,
} from '@pebblestrand/core/handover'
import { dateFormat, spokenLanguage } from '@pebblestrand/core/words'
import { pathTo } from '@pebblestrand/core/wire'
import { Op } from 'sequelize'
import QRCode from 'qrcode'
import { agencyName } from '../accounts/setup'
import { Check, ENDED, FindingRow } from '../findings/models'
import { instructionsFor, type Instructions } from '../installs/instructions'
import type { Install } from '../installs/models'
import type { ArtefactFacts } from '../artefacts/models'
import type { Context } from '../platform/context'
import { addressOf } from '../sites/address'
import { Placement, Site } from '../sites/models'
import { Sheet, SheetInstall } from '../sheets/models'
import { isSheetOpen, sheetAddress } from '../sheets/sheet-address'

/** A sheet by what its address ends in; null where that is wrong, has ended or was taken back. */
export async function sheetBy(token: string, purposes: readonly string[], now = new Date()): Promise<Sheet | null> {
  if (!/^[\w-]{20,64}$/.test(token)) return null
  const sheet = await Sheet.findOne({ where: { token, purpose: { [Op.in]: purposes } } })
  return sheet && isSheetOpen(sheet, now) ? sheet : null
}

/** Whether an install is still to be done by a sheet, or was done by it: what is to go meanwhile is pasted by nobody, and the other way about. */
const isWanted = (purpose: string, { retiring, status }: Install) =>
  purpose === 'remove' ? retiring || status === 'retired' : !retiring && status !== 'retired'

/** All that a sheet's page shows; null where nothing of it is wanted any more. */
export async function readSheet(context: Context, sheet: Sheet): Promise<Shown | null> {
  const site = (await Site.findByPk(sheet.siteId))!
  const language = spokenLanguage(sheet.language)
  const items = await itemsOf(context, sheet, await SheetInstall.findAll({ where: { sheetId: sheet.id } }))
  if (!items.length) return null
  const address = sheetAddress(context.config, sheet)
  return {
    purpose: sheet.purpose === 'remove' ? 'remove' : 'paste',
    language,
    agency: await agencyName(),
    site: site.name,
    name: sheet.toName,
    message: sheet.message,
    items: fewestSteps(items).map(({ item }) => item),
    address,
    qr: await QRCode.toString(address, { type: 'svg', margin: 2, width: 180 }),
    ends: dateFormat(language.tag, { dateStyle: 'long', timeZone: site.timeZone }).format(sheet.endsAt),
  }
}

type Held = Pick<SheetInstall, 'installId' | 'askedAt' | 'checkId' | 'troubleAt'>

/** Installs, as whoever pastes needs them; without those that are not wanted any more. */
export async function itemsOf(context: Context, sheet: Pick<Sheet, 'purpose' | 'language'>, held: readonly Held[]) {
  // Before what was found is read: of a look that ends in between, nobody is told what the look before it found.
  const underWay = await checksUnderWay(held)
  const all = await instructionsFor(
    context,
    held.map(({ installId }) => installId),
  )
  const said = all.filter(({ install }) => isWanted(sheet.purpose, install))
  const codes = await firstFindings(said.map(({ install }) => install))
  const placements = await Placement.findAll({
    where: { siteId: [...new Set(said.map(({ site }) => site.id))] },
    order: [['position', 'ASC']],
  })
  return said.map((one) => {
    const { install, page, site } = one
    const line = held.find(({ installId }) => installId === install.id)!
    const plan = placements.filter(({ siteId, pageId }) => siteId === site.id && (pageId ?? page.id) === page.id)
    return itemOf(sheet, one, { line, plan, code: codes.get(install.id), underWay })
  })
}

interface Around {
  line: Held
  /** Placements of its page. */
  plan: readonly Placement[]
  /** Of what the last look found, the weightiest. */
  code: string | undefined
  /** Checks that have not ended. */
  underWay: ReadonlySet<string>
}

function itemOf(
  sheet: Pick<Sheet, 'purpose' | 'language'>,
  { row, install, page, site, facts, box, snippets, steps }: Instructions,
  { line, plan, code, underWay }: Around,
) {
  const purpose = sheet.purpose === 'remove' ? 'remove' : 'paste'
  const outcome = outcomeOf(purpose, install.status, (code ?? null) as never)
  // One that is just being asked for has no id yet.
  const isLookedAt = line.askedAt !== null && line.checkId !== null && !underWay.has(line.checkId)
  const isPersons = line.askedAt !== null || isFinished(outcome)
  const state: SheetItem['state'] = isFinished(outcome)
    ? 'finished'
    : line.askedAt && !isLookedAt
      ? 'looking'
      : line.troubleAt && (!line.askedAt || line.troubleAt > line.askedAt)
        ? 'told'
        : 'waiting'
  return {
    page: row.page,
    position: page.position,
    box: box ?? '',
    placement: row.placement ?? '',
    item: {
      id: install.publicId,
      widget: row.widget,
      page: row.page,
      url: row.path.includes('*') ? null : addressOf(row),
      region: row.region,
      plan: plan.map(({ id, region, width, name }) => ({
        region,
        width,
        name,
        isChosen: id === install.placementId,
      })),
      snippet: snippets[install.method],
      steps: stepsOf(steps, sheet, install),
      note: site.pasteNotes,
      state,
      seen: isPersons && (isLookedAt || isFinished(outcome)) ? outcome : null,
      preview: sheet.purpose === 'paste' && facts ? previewOf(install, facts, row.width) : null,
    } satisfies SheetItem,
  }
}

/** Of the looks that were asked for, those that are not through; one that is gone from the register is not waited for. */
async function checksUnderWay(held: readonly Held[]): Promise<ReadonlySet<string>> {
  const asked = held.flatMap(({ checkId }) => checkId ?? [])
  const where = { id: asked, state: { [Op.notIn]: [...ENDED] } }
  const checks = asked.length ? await Check.findAll({ where, attributes: ['id'] }) : []
  return new Set(checks.map(({ id }) => id))
}

/** What the last look at each install found first, by the install's id. */
async function firstFindings(installs: readonly Install[]): Promise<Map<string, string>> {
  const checkIds = installs.flatMap(({ lastCheckId }) => lastCheckId ?? [])
  const rows = await FindingRow.findAll({ where: { checkId: checkIds, position: 0 }, attributes: ['checkId', 'code'] })
  const codes = new Map(rows.map(({ checkId, code }) => [checkId, code]))
  return new Map(
    installs.flatMap(({ id, lastCheckId }) => {
      const code = codes.get(lastCheckId ?? '')
      return code ? [[id, code] as const] : []
    }),
  )
}

/** The platform's steps; to take something out, all but the pasting, ticked by themselves. */
function stepsOf(
  steps: Instructions['steps'],
  { purpose, language }: Pick<Sheet, 'purpose' | 'language'>,
  { stepsDone }: Install,
) {
  const words = sheetWords[spokenLanguage(language).labels]
  const out = (id: string) => `out-${id}`
  const wanted =
    purpose !== 'remove'
      ? steps
      : steps
          .filter(({ id }) => id !== 'allow')
          .map(({ id, parts }) => ({
            id: out(id),
            parts: id === 'paste' ? [{ text: words.takeOut, strong: false }] : parts,
          }))
  return wanted.map((step) => ({ ...step, done: stepsDone.includes(step.id) }))
}

/** What visitors will see, as the frame draws it. */
const previewOf = (install: Install, { height }: ArtefactFacts, width: number | null): SheetItem['preview'] => ({
  src: pathTo('frame', install.publicId),
  width: width ?? 360,
  height: Math.min(1200, height || 320),
})
