import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto'

/** OWASP's password storage advice for scrypt: N = 2^17, r = 8, p = 1; 128 MiB a hash. */
const COST = { N: 2 ** 17, r: 8, p: 1 }
const MOST_MEMORY = 160 * 1024 * 1024
const LENGTH = 32

const derive = (password: string, salt: Buffer, options: ScryptOptions) =>
  new Promise<Buffer>((resolve, reject) =>
    scrypt(password.normalize('NFKC'), salt, LENGTH, options, (error, key) => (error ? reject(error) : resolve(key))),
  )

/** `scrypt$N$r$p$salt$hash`, so that the cost can be raised later. */
export async function hashPassword(password: string, cost = COST): Promise<string> {
  const salt = randomBytes(16)
  const key = await derive(password, salt, { ...cost, maxmem: MOST_MEMORY })
  return ['scrypt', cost.N, cost.r, cost.p, salt.toString('base64url'), key.toString('base64url')].join('$')
}

export async function checkPassword(password: string, stored: string): Promise<boolean> {
  const [, N, r, p, salt, hash] = stored.split('$')
  const wanted = Buffer.from(hash ?? '', 'base64url')
  const key = await derive(password, Buffer.from(salt ?? '', 'base64url'), {
    N: Number(N),
    r: Number(r),
    p: Number(p),
    maxmem: MOST_MEMORY,
  })
  return wanted.length === key.length && timingSafeEqual(wanted, key)
}

/** Spends the time of a check where there is no such user, so that the answer's time tells nothing. */
let decoy: Promise<string> | null = null
export async function checkNobody(password: string): Promise<false> {
  decoy ??= hashPassword('nobody')
  await checkPassword(password, await decoy)
  return false
}
