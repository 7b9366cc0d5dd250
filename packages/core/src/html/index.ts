export { parseHtml } from './parse-html'
export { textWithin } from './text-within'
