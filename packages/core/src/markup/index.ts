export { escapeAttribute, escapeComment, escapeScriptJson, escapeSegment, escapeText } from './escape'
export { address, colour, cssUrl, cssValue, linkTarget, webAddress } from './gates'
