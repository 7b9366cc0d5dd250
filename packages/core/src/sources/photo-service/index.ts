import { recognise, streamsNamed } from './pasted'
import type { SourceKind } from '../source-kind'

export { entryOf, PostsAnswer, ProfileAnswer, ProfilesAnswer, ServicePost } from './answers'
export { idOf, pageOf, streamAt, streamOf, type Stream } from './pasted'

/** Profiles on a service where people share pictures, and the tags that they put to them. */
export const photoService: SourceKind = {
  id: 'photo-service',
  name: 'Photo service',
  gives: ['post'],
  interval: 10,
  keeps: 300,
  service: 'photos',
  recognise,
  named: streamsNamed,
}
