/** A copy without Vue's proxies, which neither structuredClone nor postMessage take. For data that is JSON anyway. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
