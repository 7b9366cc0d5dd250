/** When a check began, so that one whose worker went away can be told from one that waits. */
export const up = `
ALTER TABLE checks ADD COLUMN started_at timestamptz;
CREATE INDEX checks_under_way ON checks (started_at) WHERE state IN ('served', 'fresh', 'judging');
`
