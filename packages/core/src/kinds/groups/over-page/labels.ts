import { labelTexts } from '../../label-texts'

/** What it says by itself. */
export const closeLabel = {
  labels: labelTexts(
    { close: { label: 'To close', says: 'close', names: true } },
    { most: 60, saidBy: 'close' },
    { label: 'Words on it', paragraph: 'words', before: '; closed by ' },
  ),
}
