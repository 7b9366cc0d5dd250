import type { Config } from '../platform/config'
import { AppError } from '../platform/errors'
import { refusalOf } from '../platform/outbound/refusal'

/** @throws AppError that names the field, for an address that nothing is asked of from here */
export function requireReachable(config: Config, address: string, field: string): void {
  const refusal = refusalOf(address, { localhostNames: config.demo })
  if (refusal) throw new AppError('address-refused', { message: refusal, issues: [{ field, message: refusal }] })
}
