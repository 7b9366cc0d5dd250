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
import { Check, ENDED } from '../checks/models'
import { describeInstall } from '../installs/describe'
import { Install } from '../installs/models'
import { Artefact } from '../artefacts/models'
import type { Context } from '../platform/context'
import { Page, Placement, Site } from '../sites/models'
import { Sheet, SheetInstall } from './models'
import { isSheetOpen, sheetAddress } from './sheet-address'

/** A sheet by what its address ends in; null where that is wrong, has ended or was taken back. */
export async function sheetBy(token: string, purposes: readonly string[], now = new Date()): Promise<Sheet | null> {
  if (!/^[\w-]{20,64}$/.test(token)) return null
  const sheet = await Sheet.findOne({ where: { token, purpose: { [Op.in]: purposes } } })
  return sheet && isSheetOpen(sheet, now) ? sheet : null
}

type Said = Awaited<ReturnType<typeof describeInstall>>

/** Whether an install is still to be done by a sheet, or was done by it: what is to go meanwhile is pasted by nobody, and the other way about. */
const isWanted = (purpose: string, { retiring, status }: Install) =>
  purpose === 'remove' ? retiring || status === 'retired' : !retiring && status !== 'retired'

/** All that a sheet's page shows; null where nothing of it is wanted any more. */
export async function readSheet(context: Context, sheet: Sheet): Promise<Shown | null> {
  const site = (await Site.findByPk(sheet.siteId))!
  const language = spokenLanguage(sheet.language)
  const all = await SheetInstall.findAll({ where: { sheetId: sheet.id } })
  const installs = await Install.findAll({ where: { id: all.map(({ installId }) => installId) } })
  const wanted = new Set(installs.filter((one) => isWanted(sheet.purpose, one)).map(({ id }) => id))
  const held = all.filter(({ installId }) => wanted.has(installId))
  if (!held.length) return null
  const items = []
  for (const one of held) items.push(await itemOf(context, sheet, one))
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

/** One install, as whoever pastes needs it. */
export async function itemOf(
  context: Context,
  sheet: Pick<Sheet, 'purpose' | 'language'>,
  held: Pick<SheetInstall, 'installId' | 'askedAt' | 'checkId' | 'troubleAt'>,
) {
  // Before what was found is read: of a look that ends in between, nobody is told what the look before it found.
  const isLookedAt = held.askedAt !== null && (await hasEnded(held.checkId))
  const install = (await Install.findByPk(held.installId))!
  const said = await describeInstall(context, install.id)
  const page = (await Page.findByPk(install.pageId))!
  const placements = await Placement.findAll({
    where: { siteId: said.siteId, [Op.or]: [{ pageId: null }, { pageId: page.id }] },
    order: [['position', 'ASC']],
  })
  const box = [said.advice.best, ...said.advice.others].find(({ method }) => method === install.method)?.box?.name ?? ''
  const outcome = outcomeOf(
    sheet.purpose === 'remove' ? 'remove' : 'paste',
    install.status,
    (said.check?.findings[0]?.code ?? null) as never,
  )
  const isPersons = held.askedAt !== null || isFinished(outcome)
  const state: SheetItem['state'] = isFinished(outcome)
    ? 'finished'
    : held.askedAt && !isLookedAt
      ? 'looking'
      : held.troubleAt && (!held.askedAt || held.troubleAt > held.askedAt)
        ? 'told'
        : 'waiting'
  return {
    page: said.page,
    position: page.position,
    box,
    placement: said.placement ?? '',
    item: {
      id: install.publicId,
      widget: said.widget,
      page: said.page,
      url: said.path.includes('*') ? null : said.url,
      region: said.region,
      plan: placements.map(({ id, region, width, name }) => ({
        region,
        width,
        name,
        isChosen: id === install.placementId,
      })),
      snippet: said.snippets[install.method],
      steps: stepsOf(said.steps, sheet, install),
      note: said.pasteNotes,
      state,
      seen: isPersons && (isLookedAt || isFinished(outcome)) ? outcome : null,
      preview: sheet.purpose === 'paste' ? await previewOf(install, said.width) : null,
    } satisfies SheetItem,
  }
}

/** Whether the look that was asked for is through; one that is gone from the register is not waited for. */
async function hasEnded(checkId: string | null): Promise<boolean> {
  if (!checkId) return false // it is just being asked for
  const check = await Check.findByPk(checkId, { attributes: ['state'] })
  return !check || (ENDED as readonly string[]).includes(check.state)
}

/** The platform's steps; to take something out, all but the pasting, ticked by themselves. */
function stepsOf(
  steps: Said['steps'],
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
async function previewOf(install: Install, width: number | null): Promise<SheetItem['preview']> {
  const artefact = await Artefact.findOne({ attributes: ['facts'], where: { installId: install.id, form: 'payload' } })
  if (!artefact) return null
  return {
    src: pathTo('frame', install.publicId),
    width: width ?? 360,
    height: Math.min(1200, artefact.facts.height || 320),
  }
}
