export { artefactForms, formIds, type FormId } from './forms'
export { framePage, type Surroundings } from './frame-page'
export { partForm, payloadOf, type Payload, type StagePayload } from './payload'
