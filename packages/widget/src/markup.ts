/** Text as HTML, for element content and double-quoted attributes alike. */
export const escape = (value: string): string => value.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`)

/** An address that may stand in href or src: http and https only, else nothing. */
export const address = (value: string | null): string => (value && /^https?:\/\//i.test(value) ? escape(value) : '')

/** A CSS colour as our settings allow it; anything else is dropped. */
export const colour = (value: string): string => (/^#[0-9a-f]{3,6}$/i.test(value) ? value : '')
