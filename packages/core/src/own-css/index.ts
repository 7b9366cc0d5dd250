export { withOwnCss } from './with-own-css'
export { MOST_LETTERS, scopeCss, type CssNote, type ScopedCss, type ScopeWish } from './scope'
