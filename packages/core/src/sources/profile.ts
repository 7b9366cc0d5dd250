import { z } from 'zod'

/** Somebody at a service: how he or she is called there, says of himself or herself, and has in numbers. */
export const Profile = z.object({
  /** Without a sign before it. */
  handle: z.string(),
  bio: z.string(),
  /** Null where the service does not say. */
  counts: z.object({
    posts: z.number().int().min(0).nullable(),
    followers: z.number().int().min(0).nullable(),
    following: z.number().int().min(0).nullable(),
  }),
})
export type Profile = z.infer<typeof Profile>
