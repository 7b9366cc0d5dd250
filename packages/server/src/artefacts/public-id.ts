/** What a public id can look like; anything else is not looked for. */
export const PUBLIC_ID = /^[a-z0-9-]{8,40}$/
