/** Every error the server answers with: status, message, remedy. A code once shipped keeps its meaning. */
export const errors = {
  invalid: {
    status: 400,
    message: 'Something in what was sent is not right.',
    remedy: 'Correct the named field; everything else is kept.',
  },
  'not-signed-in': {
    status: 401,
    message: 'You are not signed in.',
    remedy: 'Sign in and try again; drafts are kept.',
  },
  'wrong-sign-in': {
    status: 401,
    message: 'This address and password do not belong together.',
    remedy: 'Check both, or ask the owner for a new password.',
  },
  'too-many-tries': { status: 429, message: 'Too many tries.', remedy: 'Wait a few minutes, then try again.' },
  'too-often': {
    status: 429,
    message: 'This was asked for very often just now.',
    remedy: 'Wait a minute, then go on.',
  },
  'not-allowed': {
    status: 403,
    message: 'Your account may not do this.',
    remedy: 'Ask the owner of this Pebblestrand to do it, or to let you.',
  },
  'csrf-missing': {
    status: 403,
    message: 'The request did not come from this page.',
    remedy: 'Reload the page and do it again.',
  },
  'not-found': { status: 404, message: 'This is not here.', remedy: 'It may have been removed; go back to the list.' },
  'setup-done': {
    status: 409,
    message: 'This Pebblestrand has an owner already.',
    remedy: 'Sign in, or ask the owner for an account.',
  },
  'setup-key-wrong': {
    status: 403,
    message: 'The set-up key is not right.',
    remedy: 'Copy it from where the server was started: it is printed there.',
  },
  'unreadable-site': {
    status: 422,
    message: 'The page cannot be read.',
    remedy: 'Open it in a browser to see whether it is there, or give the address of another page of the site.',
  },
  'too-many-expectations': {
    status: 409,
    message: 'A hundred visits are kept with this site already.',
    remedy: 'Drop one that is no longer expected.',
  },
  'expectations-unmet': {
    status: 409,
    message: 'A visit that is kept with a site would no longer go as expected.',
    remedy: 'Look at it in the rehearsal of that site, or publish all the same.',
  },
  'no-mail': {
    status: 409,
    message: 'This Pebblestrand sends no mail.',
    remedy: 'Set PEBBLESTRAND_SMTP and start again, or send the link yourself.',
  },
  sealed: {
    status: 503,
    message: 'What visitors wrote is encrypted, and the key it was encrypted with is not here.',
    remedy: 'Start with the same PEBBLESTRAND_LEADS_KEY as before.',
  },
  'no-form': {
    status: 409,
    message: 'This widget asks visitors for nothing.',
    remedy: 'Give it fields in the workbench first.',
  },
  'not-held': { status: 409, message: 'This is not held back any more.', remedy: 'Look at it in the list of answers.' },
  taken: { status: 409, message: 'There is one like this already.', remedy: 'Choose another name or address.' },
  'draft-changed': {
    status: 409,
    message: 'This draft was changed in another tab or by someone else.',
    remedy: 'Look at the newer draft, or keep yours over it.',
  },
  'not-published': {
    status: 409,
    message: 'This widget has no release yet.',
    remedy: 'Publish release 1 in the workbench, then place it.',
  },
  'nothing-to-publish': {
    status: 409,
    message: 'Nothing has changed since the last release.',
    remedy: 'Change something first.',
  },
  unfinished: {
    status: 409,
    message: 'Some settings cannot be used as typed.',
    remedy: 'Fix the settings that are marked in red, then publish.',
  },
  'no-source': { status: 409, message: 'This widget has no source yet.', remedy: 'Choose one under “What it shows”.' },
  'already-planned': {
    status: 409,
    message: 'This widget is planned in this placement already.',
    remedy: 'Open the install that is there.',
  },
  'cannot-now': {
    status: 409,
    message: 'This cannot be done in the present state.',
    remedy: 'Reload to see where it stands.',
  },
  'still-standing': {
    status: 409,
    message: 'Visitors may still see it on client pages.',
    remedy: 'Retire those installs first, or remove it all the same: nothing will show in their place.',
  },
  'last-page': {
    status: 409,
    message: 'A site has one page at least.',
    remedy: 'Correct its title and path instead, or remove the site.',
  },
  'in-its-way': {
    status: 409,
    message: 'It cannot be brought back as things are.',
    remedy: 'Remove or rename what took its place, then bring it back.',
  },
  'round-running': { status: 409, message: 'A round of checks is running.', remedy: 'Wait for it, or stop it first.' },
  'address-refused': {
    status: 400,
    message: 'This address cannot be opened.',
    remedy: 'Give an http or https address that anyone can reach.',
  },
  'no-feeds': {
    status: 422,
    message: 'No feed was found there.',
    remedy: 'Look on the site for a link called RSS, Atom or feed, and paste its address.',
  },
  'consent-lost': {
    status: 409,
    message: 'The answer of the service does not belong to a question of yours.',
    remedy: 'Connect the account again from the sources screen; the question is good for a quarter of an hour.',
  },
  'no-table': {
    status: 422,
    message: 'The file cannot be read as a table.',
    remedy: 'Save it as CSV: the columns’ names in the first row, one review a row.',
  },
  'no-profile': {
    status: 422,
    message: 'No profile was found by that.',
    remedy: 'Paste the address of the profile, or its handle with or without the @.',
  },
  'no-place': {
    status: 422,
    message: 'No place was found by that.',
    remedy: 'Paste the address of its page, the code that shows it on a map, or its id.',
  },
  'fetch-failed': {
    status: 422,
    message: 'The address could not be read.',
    remedy: 'Open it in a browser; if it works there, try again in a few minutes.',
  },
  'database-away': {
    status: 503,
    message: 'The database does not answer just now.',
    remedy: 'Try again in a minute; what was saved is kept.',
  },
  tangled: {
    status: 422,
    message: 'This is too tangled to be read.',
    remedy: 'Ask whoever made the page whether it can be made plainer.',
  },
  unexpected: {
    status: 500,
    message: 'Something went wrong at our end.',
    remedy: 'Try again; if it stays, send the time of day to whoever runs this server.',
  },
} as const satisfies Record<string, { status: number; message: string; remedy: string }>

export type ErrorCode = keyof typeof errors

export interface FieldIssue {
  field: string
  message: string
}

/** An error meant for the person: it carries its code, and what to say about this very case. */
export class AppError extends Error {
  readonly status: number
  readonly remedy: string
  constructor(
    readonly code: ErrorCode,
    readonly more: { message?: string; remedy?: string; issues?: FieldIssue[]; data?: unknown } = {},
  ) {
    super(more.message ?? errors[code].message)
    this.status = errors[code].status
    this.remedy = more.remedy ?? errors[code].remedy
  }

  /** What the interface gets. */
  toBody() {
    return {
      error: {
        code: this.code,
        message: this.message,
        remedy: this.remedy,
        issues: this.more.issues ?? [],
        data: this.more.data,
      },
    }
  }
}
