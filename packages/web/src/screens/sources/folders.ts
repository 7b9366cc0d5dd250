/** What lies in folders, folder by folder in the order of their names; what lies in none comes first. */
export function byFolder<T extends { folder: string }>(all: readonly T[]): { folder: string; feeds: T[] }[] {
  const folders = new Map<string, T[]>()
  for (const one of all) folders.set(one.folder, [...(folders.get(one.folder) ?? []), one])
  return [...folders].sort(([a], [b]) => a.localeCompare(b)).map(([folder, feeds]) => ({ folder, feeds }))
}
