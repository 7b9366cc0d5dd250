import { address, escapeText } from '../../markup'

/** An address as it is read on paper. */
const shortened = (link: string) => link.replace(/^https?:\/\/(www\.)?/, '').replace(/\/$/, '')

/** Where the rest is, for paper and for whoever has no script: shown there alone, in place of what only a script can do. */
export const elsewhereGroup = {
  /** '' where nobody says where. */
  html(link: string | null): string {
    const href = address(link)
    return href ? `<p class="le"><a href="${href}" target="_top">${escapeText(shortened(link!))}</a></p>` : ''
  },
  css: '.w .le{height:0;margin:0;overflow:hidden;visibility:hidden}.le a{color:inherit}@media print{.lm,.kb{visibility:hidden!important}.w .le{height:auto;margin:8px 0 0;visibility:visible}}@media (scripting:none){.w .le{height:auto;margin:8px 0 0;visibility:visible}}',
}
