/**
 * Visits by install and day. Who came is known for a day only, as a hash with a secret of that day and zone: both are thrown
 * away when the day is over there, the count stays. By public id: what was removed and comes back has its counts.
 */
export const visits = {
  name: '0005-visits',
  sql: `
CREATE TABLE visit_counts (
  public_id text NOT NULL, day date NOT NULL, visits integer NOT NULL CHECK (visits >= 0),
  PRIMARY KEY (public_id, day)
);
CREATE TABLE visit_marks (
  zone text NOT NULL, day date NOT NULL, public_id text NOT NULL, mark text NOT NULL,
  PRIMARY KEY (zone, day, public_id, mark)
);
CREATE TABLE visit_days (
  zone text NOT NULL, day date NOT NULL, secret text NOT NULL,
  PRIMARY KEY (zone, day)
);
`,
}
