import type { Transaction } from 'sequelize'
import { Install } from '../installs/models'
import { SheetInstall, type Sheet } from '../sheets/models'

/** Whether an install still waits for whoever has a sheet: what is to be taken out after all is pasted by nobody. */
const waits = {
  paste: ({ status, retiring }: Install) => !retiring && status !== 'confirmed' && status !== 'retired',
  remove: ({ status, retiring }: Install) => retiring && status !== 'retired',
  kept: () => false,
}

/** The installs of a sheet that still wait. */
export async function waitingInstalls({ id, purpose }: Sheet, transaction?: Transaction): Promise<Install[]> {
  const held = await SheetInstall.findAll({ where: { sheetId: id }, transaction })
  const installs = await Install.findAll({ where: { id: held.map((one) => one.installId) }, transaction })
  return installs.filter(waits[purpose])
}
