/** Who took a check last: what an earlier taker found after that is not written over it. */
export const attempts = {
  name: '0007-check-attempts',
  sql: `ALTER TABLE checks ADD COLUMN attempt uuid`,
}

/** What browsers measured, and the pictures they took. */
export const sights = {
  name: '0011-sights',
  sql: `ALTER TABLE looks ADD COLUMN sight jsonb, ADD COLUMN picture bytea`,
}
