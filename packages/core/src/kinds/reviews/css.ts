import { arrangementGroup, elsewhereGroup, headingGroup, lookGroup, ratingGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { reviewsFit, sizesOf, textSize } from './box'
import type { ReviewsSettings } from './settings'

/** Colours behind initials; white on each has more than 4.5:1. */
const tints = ['#3f5f73', '#6a4b7c', '#2f6b4f', '#8a4a35', '#5b5a24', '#7a3e5d']
export const TINTS = tints.length

// Sizes that box.ts counts with.
export function reviewsCss(settings: ReviewsSettings): string {
  const { meta, title, shared, mean, bars, reply, avatar, star, picture } = sizesOf(settings)
  const text = textSize(settings)
  return (
    widthAnsweringHost +
    elsewhereGroup.css +
    `${lookGroup.css(settings)}p,dl,dd,blockquote{margin:0}` +
    headingGroup.css(settings) +
    ratingGroup.css(star, 'var(--star)') +
    `.u{margin-bottom:16px;font-size:${shared.size}px}.v{display:flex;flex-wrap:wrap;align-items:baseline;gap:2px 8px}.v b{font-size:${mean.size}px;line-height:${mean.line}}` +
    `.d{display:grid;gap:2px;margin-top:6px;max-width:280px;font-size:${bars.size}px;line-height:${bars.line}px}.d div{display:grid;grid-template-columns:1.2em minmax(0,1fr);gap:6px}` +
    `.d dd{position:relative}.d dd::before{content:"";position:absolute;inset-block:auto 0;inset-inline:0 auto;height:2px;border-radius:1px;background:var(--star);opacity:.7}` +
    Array.from({ length: 11 }, (_, i) => `.b${i * 10}::before{width:${i * 10}%}`).join('') +
    arrangementGroup.css(settings, reviewsFit(settings)) +
    `.c{min-width:0;display:grid;gap:6px;align-content:start;overflow-wrap:anywhere}` +
    `.m{display:flex;align-items:center;gap:10px;font-size:${meta.size}px;line-height:${meta.line}}` +
    `.a{flex:none;width:${avatar}px;height:${avatar}px;border-radius:58% 42% 47% 53%/46% 56% 44% 54%;display:grid;place-items:center;color:#fff;font-size:13px;font-weight:700}img.a{object-fit:cover}` +
    `.ps{display:flex;flex-wrap:wrap;gap:6px}.p{display:block;width:${picture}px;height:${picture}px;object-fit:cover;border-radius:${settings.radius}px;background:#8882}` +
    `.sp{display:flex;flex-wrap:wrap;gap:2px 12px;margin-bottom:16px;font-size:${shared.size}px;line-height:${shared.line}}` +
    tints.map((tint, i) => `.t${i}{background:${tint}}`).join('') +
    `.sr{line-height:1}.t{margin:0;font-size:${title.size}px;line-height:${title.line};font-weight:700}` +
    `.x{font-size:${text.size}px;line-height:${text.line}}.x summary{list-style:none;cursor:pointer}.x summary::-webkit-details-marker{display:none}` +
    `.x[open] summary{display:none}.n,.f a{color:inherit;text-decoration:underline;text-decoration-color:var(--accent);text-decoration-thickness:2px;text-underline-offset:3px}` +
    `.n,.f{font-size:${meta.size}px}.f a:hover{color:var(--hover)}:focus-visible{outline:2px solid var(--accent);outline-offset:2px}` +
    `.y{border-inline-start:3px solid var(--accent);padding-inline-start:10px;font-size:${reply.size}px;line-height:${reply.line}}.z{font-weight:700}.o{margin-top:16px}.o a{box-sizing:border-box;display:inline-block;min-height:40px;padding:8px 18px;${lookGroup.button(settings.radius)};text-decoration:none;font-size:15px;line-height:22px}.o a:hover{${lookGroup.buttonHover}}`
  )
}
