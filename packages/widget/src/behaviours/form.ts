import type { FormData as Told } from '@pebblestrand/core/kinds'
import { RELEASE_MARK } from '@pebblestrand/core/wire'
import type { Behaviour } from '../behaviour'
import { Filling } from '../form/filling'

/** A form: step by step, said at once what is wrong, and nothing that was typed is lost. On the workbench's stage it sends nothing. */
const form: Behaviour = ({ root, element, id, origin, data, nodes }) => {
  const box = root.querySelector<HTMLFormElement>('form.fm')
  const told = data.form as Told | undefined
  if (!box || !told) return
  const release = element.getAttribute(RELEASE_MARK) ?? /[?&]r=(\d+)/.exec(box.action)?.[1] ?? ''
  const filling = new Filling(box, told, { root, element, id, origin, release, nodes })
  return () => filling.end()
}

export default form
