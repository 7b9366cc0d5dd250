export { withOwnCss } from './with-own-css'
export { MOST } from './readable'
export { scopeCss, type CssNote, type ScopedCss, type ScopeWish } from './scope'
