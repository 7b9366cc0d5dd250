/** People paste addresses without a scheme; a site that has only one of the two leads on. */
export const completed = (given: string) =>
  /^[a-z][a-z0-9+.-]*:/i.test(given) && !/^[\w.-]+:\d+(\/|$)/.test(given) ? given : `http://${given}`
