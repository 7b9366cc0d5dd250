export { artefactForms, formIds, type FormId } from './forms'
export { framePage, type Surroundings } from './frame-page'
export { payloadOf, type Payload } from './payload'
