/** Which release an install stays at, where it does not follow the newest, and which widget stood there before the last swap. */
export const heldAndSwapped = {
  name: '0024-held-and-swapped',
  sql: `
ALTER TABLE installs ADD COLUMN held_release integer;
ALTER TABLE installs ADD COLUMN swapped_from uuid;
`,
}

/** Who planned an install is filtered by, and told with all who have planned some. */
export const plannedBy = {
  name: '0038-installs-planned-by',
  sql: `CREATE INDEX installs_planned_by ON installs (planned_by)`,
}
