import { fn, col, where } from 'sequelize'
import { Widget } from './models'

/** A name nobody has yet: the wanted one, or it with the next free number. */
export async function freeName(wanted: string): Promise<string> {
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted} ${n}`
    if (!(await Widget.count({ where: where(fn('lower', col('name')), name.toLowerCase()) }))) return name
  }
}
