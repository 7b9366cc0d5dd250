import { AppError } from '../platform/errors'

/** Estimated guesses below ten to the eighth: common, repeated, in a row on the keyboard, or made of what is known of the person. */
const LEAST_SCORE = 3
const MOST_LETTERS = 200

let estimator: Promise<(password: string, known: string[]) => number> | null = null

/** The list of common passwords is large, and seldom needed. */
const loadEstimator = async () => {
  const [{ ZxcvbnFactory }, { dictionary, adjacencyGraphs }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ])
  const factory = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })
  return (password: string, known: string[]) => factory.check(password, known).score
}

/** @param known about the person: name, address, agency */
export async function hardToGuess(password: string, known: readonly string[]): Promise<boolean> {
  const score = await (estimator ??= loadEstimator())
  const words = known
    .flatMap((one) => [one, one.replace(/\W/g, ''), ...one.split(/[\s@.]+/)])
    .filter((word) => word.length > 2)
  return score(password.slice(0, MOST_LETTERS), words) >= LEAST_SCORE
}

/** Refuses a password that is guessed soon, naming the field it was typed in. */
export async function requireHardToGuess(password: string, field: string, known: readonly string[]): Promise<void> {
  if (await hardToGuess(password, known)) return
  const message = 'is easily guessed: take several words that do not belong together'
  throw new AppError('invalid', { message: `${field}: ${message}.`, issues: [{ field, message }] })
}
