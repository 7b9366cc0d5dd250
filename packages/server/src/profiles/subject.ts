import type { Subject } from '../subject'
import { ownProfiles } from './migration'
import { definePlatforms } from './models'

/** Platform profiles that the agency wrote itself. Its screens are `platforms/`. */
export const profiles: Subject = { name: 'profiles', migrations: [ownProfiles], models: definePlatforms }
