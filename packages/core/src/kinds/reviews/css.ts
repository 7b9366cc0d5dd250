import { colour } from '../../markup'
import { arrangementGroup, lookGroup, ratingGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { reviewsFit, SIZES, textSize } from './box'
import type { ReviewsSettings } from './settings'

/** Colours behind initials; white on each has more than 4.5:1. */
const tints = ['#3f5f73', '#6a4b7c', '#2f6b4f', '#8a4a35', '#5b5a24', '#7a3e5d']
export const TINTS = tints.length

// Sizes that box.ts counts with.
export function reviewsCss(settings: ReviewsSettings): string {
  const { heading, meta, title, avatar, star, picture } = SIZES
  const text = textSize(settings)
  return (
    widthAnsweringHost +
    `.w{${lookGroup.css(settings)}}p,dl,dd,blockquote{margin:0}` +
    `.h{margin:0 0 ${heading.below}px;font-size:${heading.size}px;line-height:${heading.line};font-weight:700}` +
    ratingGroup.css(star, colour(settings.starColour) || 'currentColor') +
    `.u{margin-bottom:16px;font-size:14px}.v{display:flex;flex-wrap:wrap;align-items:baseline;gap:2px 8px}.v b{font-size:22px;line-height:1.2}` +
    `.d{display:grid;gap:2px;margin-top:6px;max-width:280px;font-size:12.5px;line-height:16px}.d div{display:grid;grid-template-columns:1.2em minmax(0,1fr);gap:6px}` +
    `.d dd{position:relative}.d dd::before{content:"";position:absolute;inset:auto auto 0 0;height:2px;border-radius:1px;background:${colour(settings.starColour) || 'currentColor'};opacity:.7}` +
    Array.from({ length: 11 }, (_, i) => `.b${i * 10}::before{width:${i * 10}%}`).join('') +
    arrangementGroup.css(settings, reviewsFit(settings)) +
    `.c{min-width:0;display:grid;gap:6px;align-content:start;overflow-wrap:anywhere}` +
    `.m{display:flex;align-items:center;gap:10px;font-size:${meta.size}px;line-height:${meta.line}}` +
    `.a{flex:none;width:${avatar}px;height:${avatar}px;border-radius:58% 42% 47% 53%/46% 56% 44% 54%;display:grid;place-items:center;color:#fff;font-size:13px;font-weight:700}img.a{object-fit:cover}` +
    `.ps{display:flex;flex-wrap:wrap;gap:6px}.p{display:block;width:${picture}px;height:${picture}px;object-fit:cover;border-radius:${settings.radius}px;background:#8882}` +
    `.sp{display:flex;flex-wrap:wrap;gap:2px 12px;margin-bottom:16px;font-size:14px;line-height:1.5}` +
    `.e{margin:0 0 ${heading.below}px;font-size:14.5px;line-height:1.5}` +
    tints.map((tint, i) => `.t${i}{background:${tint}}`).join('') +
    `.g{line-height:1}.t{margin:0;font-size:${title.size}px;line-height:${title.line};font-weight:700}` +
    `.x{font-size:${text.size}px;line-height:${text.line}}.x summary{list-style:none;cursor:pointer}.x summary::-webkit-details-marker{display:none}` +
    `.x[open] summary{display:none}.n,.f a,.o a{color:inherit;text-decoration:underline;text-decoration-color:var(--a);text-decoration-thickness:2px;text-underline-offset:3px}` +
    `.n,.f{font-size:${meta.size}px}.f a:hover,.o a:hover{color:var(--a)}:focus-visible{outline:2px solid var(--a);outline-offset:2px}` +
    `.y{border-inline-start:3px solid var(--a);padding-inline-start:10px;font-size:13.5px;line-height:1.45}.z{font-weight:700}.o{margin-top:16px;font-size:${text.size}px}`
  )
}
