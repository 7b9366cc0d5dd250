/**
 * What a widget was called when a release was published: a later name is not shown to visitors before the next one. Null for
 * what was removed before this came and is brought back: then its name of today counts.
 */
export const releaseNames = {
  name: '0009-release-names',
  sql: `
ALTER TABLE releases ADD COLUMN name text;
UPDATE releases SET name = widgets.name FROM widgets WHERE widgets.id = releases.widget_id;
`,
}

/** Since when nothing is left of what a widget shows, while visitors still see the last that it had. */
export const emptied = {
  name: '0017-widget-emptied',
  sql: `ALTER TABLE widgets ADD COLUMN emptied_at timestamptz`,
}

/** A widget out of the lists that is still shown where it stands, and words put with a release. */
export const putAwayAndNotes = {
  name: '0023-put-away-and-notes',
  sql: `
ALTER TABLE widgets ADD COLUMN put_away_at timestamptz;
ALTER TABLE releases ADD COLUMN note text NOT NULL DEFAULT '';
`,
}

/** What was typed into a draft and its kind cannot take yet. */
export const unfinished = {
  name: '0044-unfinished',
  sql: `ALTER TABLE widgets ADD COLUMN draft_unfinished jsonb NOT NULL DEFAULT '{}'`,
}
