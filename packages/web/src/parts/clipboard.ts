import { say } from '../frame/notices'

/** Puts text on the clipboard and says so, or says what to do where the browser does not let us. */
export async function copyText(text: string, said: string, remedy = ''): Promise<void> {
  try {
    await navigator.clipboard.writeText(text)
    say(said, { remedy })
  } catch {
    say('This browser does not let us copy.', { remedy: 'Select the code and copy it yourself.', fault: true })
  }
}
