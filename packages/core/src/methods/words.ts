// Names and sentences of the methods, without what writes and reads them.
export { methodIds, methodNames, type MethodId } from './names'
export { endings, losses, type Ending, type LossId } from './outcome'
export { openerLooks, type OpenerLook } from './opener-looks'
export { textForms, type TextForm } from './text-forms'
