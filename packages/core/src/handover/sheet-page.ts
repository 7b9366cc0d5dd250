import { escapeAttribute, escapeText } from '../markup'
import { planDrawing } from './plan-drawing'
import { asked, placeSaid, speaker, type Sheet, type SheetItem, type Speak } from './sheet'
import { page } from './sheet-frame'

/** A sheet as a page that needs no account: one column, large, that works without a script and prints an item a page. */
export function sheetPage(sheet: Sheet): string {
  const say = speaker(sheet)
  const done = sheet.items.filter(({ state }) => state === 'finished').length
  const isLooking = sheet.items.some(({ state }) => state === 'looking')
  return page({
    language: sheet.language,
    title: asked(sheet, say),
    refreshes: isLooking,
    body: `${sheet.name ? `<p class="for">${escapeText(say('forYou', { name: sheet.name }))}</p>` : ''}
<h1>${escapeText(asked(sheet, say))}</h1>
${sheet.message ? `<blockquote><b>${escapeText(say('message'))}</b><br>${escapeText(sheet.message).replaceAll('\n', '<br>')}</blockquote>` : ''}
${sheet.items.length > 1 ? `<p class="progress" id="progress">${escapeText(say('progress', { done: String(done), all: String(sheet.items.length) }))}</p>` : ''}
${sheet.items.map((item) => section(sheet, item, say)).join('\n')}
<footer>
<p>${escapeText(say('ends', { date: sheet.ends }))} <button type="button" class="word" data-print hidden>${escapeText(say('print'))}</button></p>
<details class="qr"><summary>${escapeText(say('phone'))}</summary>${sheet.qr}</details>
</footer>`,
  })
}

function section(sheet: Sheet, item: SheetItem, say: Speak): string {
  const at = `${sheet.address}/${encodeURIComponent(item.id)}`
  const isOut = sheet.purpose === 'remove'
  const code = `code-${item.id}`
  const where = item.url
    ? `<a href="${escapeAttribute(item.url)}" target="_blank" rel="noopener noreferrer" dir="ltr">${escapeText(item.url)}</a>`
    : ''
  return `<section id="i-${escapeAttribute(item.id)}" aria-labelledby="h-${escapeAttribute(item.id)}">
<h2 id="h-${escapeAttribute(item.id)}">${escapeText(item.widget)}</h2>
<p>${escapeText(placeSaid(item, say))} ${where}</p>
${verdict(item, say)}
<h3>${escapeText(say('where'))}</h3>
${planDrawing(item.plan, placeSaid(item, say))}
${steps(item, at, say)}
${item.note ? `<p class="note"><b>${escapeText(say('note'))}:</b> ${escapeText(item.note)}</p>` : ''}
<h3 id="t-${escapeAttribute(item.id)}">${escapeText(say(isOut ? 'codeOut' : 'code'))}</h3>
<pre id="${escapeAttribute(code)}" dir="ltr" tabindex="0" role="group" aria-labelledby="t-${escapeAttribute(item.id)}"><code>${escapeText(item.snippet)}</code></pre>
<p class="copy"><button type="button" class="word" data-copy="${escapeAttribute(code)}" data-copied="${escapeAttribute(say('copied'))}" data-failed="${escapeAttribute(say('notCopied'))}" hidden>${escapeText(say('copy'))}</button> <span role="status"></span></p>
${acts(item, at, isOut, say)}
${preview(item, isOut, say)}
</section>`
}

/** What was seen, and what to do next. */
function verdict({ id, state, seen, region }: SheetItem, say: Speak): string {
  const inside =
    state === 'looking'
      ? `<p class="looking">${escapeText(say('looking'))}</p>`
      : [
          seen
            ? `<p class="${state === 'finished' ? 'well' : 'fault'}"><b>${escapeText(say(seen.says))}</b>${seen.does ? ` ${escapeText(say(seen.does, { region: say(region ?? 'overPage') }))}` : ''}</p>`
            : '',
          state === 'told' ? `<p class="told">${escapeText(say('told'))}</p>` : '',
        ].join('')
  return `<div class="verdict" id="v-${escapeAttribute(id)}" role="status"${state === 'looking' ? ' data-looking' : ''}>${inside}</div>`
}

function steps({ id, steps: all }: SheetItem, at: string, say: Speak): string {
  if (!all.length) return ''
  const lines = all.map(
    ({ id: step, parts, done }) =>
      `<li><label><input type="checkbox" name="step" value="${escapeAttribute(step)}"${done ? ' checked' : ''}> <span>${parts.map(({ text, strong }) => (strong ? `<b>${escapeText(text)}</b>` : escapeText(text))).join('')}</span></label></li>`,
  )
  return `<h3>${escapeText(say('steps'))}</h3>
<form method="post" action="${escapeAttribute(`${at}/steps`)}" data-steps="${escapeAttribute(id)}"><ol>${lines.join('')}</ol><noscript><button class="word">OK</button></noscript></form>`
}

function acts({ state, seen }: SheetItem, at: string, isOut: boolean, say: Speak): string {
  if (state === 'finished') return ''
  const again = seen !== null
  return `<div class="acts"><form method="post" action="${escapeAttribute(`${at}/done`)}" data-done><button class="act">${escapeText(say(again ? 'again' : isOut ? 'doneOut' : 'done'))}</button></form>
<details><summary>${escapeText(say('troubled'))}</summary><form method="post" action="${escapeAttribute(`${at}/trouble`)}"><label>${escapeText(say('whatHappened'))}<textarea name="note" rows="3" maxlength="1000" required></textarea></label><button class="act plain">${escapeText(say('tell'))}</button></form></details></div>`
}

function preview({ preview: shown, widget }: SheetItem, isOut: boolean, say: Speak): string {
  if (!shown || isOut) return ''
  return `<h3>${escapeText(say('looks'))}</h3>
<div class="shown" tabindex="0" role="group" aria-label="${escapeAttribute(say('looks'))}"><iframe src="${escapeAttribute(shown.src)}" width="${shown.width}" height="${shown.height}" loading="lazy" title="${escapeAttribute(widget)}" sandbox="allow-scripts"></iframe></div>`
}

/** What stands where a link is wrong, has ended or was taken back: the same for all three. */
export function shutPage(language: Sheet['language']): string {
  const say = speaker({ language, agency: '', site: '' })
  return page({
    language,
    title: say('shut'),
    refreshes: false,
    body: `<h1>${escapeText(say('shut'))}</h1><p>${escapeText(say('shutWhy'))}</p>`,
  })
}
