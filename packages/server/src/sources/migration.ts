/** What of a source's items was too long to be kept whole, by sort of part. Every source is read anew once, so that what is stored is cut as well. */
export const cut = {
  name: '0006-source-cut',
  sql: `
ALTER TABLE sources ADD COLUMN cut jsonb NOT NULL DEFAULT '{}';
UPDATE sources SET content_hash = NULL, etag = NULL, last_modified = NULL;
`,
}

/** What a source says its ratings come to, of all there are. */
export const rating = {
  name: '0015-source-rating',
  sql: `ALTER TABLE sources ADD COLUMN rating jsonb`,
}
