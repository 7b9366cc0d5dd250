import { col, fn, Op, where } from 'sequelize'
import { Widget } from './models'

/** A name nobody has yet: the wanted one, or it with the next free number. */
export async function freeName(wanted: string): Promise<string> {
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted} ${n}`
    if (!(await Widget.count({ where: where(fn('lower', col('name')), name.toLowerCase()) }))) return name
  }
}

/** The widget that has a name already, whatever its letters' case. */
export async function widgetNamed(name: string, except: string | null) {
  if (!name) return null
  const found = await Widget.findOne({
    where: {
      [Op.and]: [where(fn('lower', col('name')), name.toLowerCase()), except ? { id: { [Op.ne]: except } } : {}],
    },
  })
  return found && { id: found.id, name: found.name, kind: found.kind }
}
