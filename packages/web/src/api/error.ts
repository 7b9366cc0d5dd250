/** An error as the server says it: code, message, what to do, and which fields are meant. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly remedy: string,
    readonly issues: { field: string; message: string }[] = [],
    readonly data: unknown = null,
  ) {
    super(message)
  }

  /** What is wrong with one field, as a sentence; '' where nothing is. */
  about(field: string): string {
    return this.issues.find((issue) => issue.field === field || issue.field.startsWith(`${field}.`))?.message ?? ''
  }
}

/** What stands above a form whose fields say themselves what is wrong with them. */
export function aboveFields(error: ApiError): { message: string; remedy: string } {
  // A field may have several faults.
  const count = new Set(error.issues.map(({ field }) => field)).size
  if (error.code !== 'invalid' || !count) return error
  const message = count === 1 ? 'One field is not right yet.' : `${count} fields are not right yet.`
  return { message, remedy: 'Correct what is marked; everything else is kept.' }
}

export const offline = () =>
  new ApiError(0, 'offline', 'The server does not answer.', 'Check the connection; what you typed stays here.')

/** Any failure as an ApiError, for showing. What did not come from the server broke in this page. */
export const asApiError = (error: unknown): ApiError =>
  error instanceof ApiError
    ? error
    : new ApiError(0, 'page', 'Something on this page broke off.', 'Reload it; what was saved is kept.')
