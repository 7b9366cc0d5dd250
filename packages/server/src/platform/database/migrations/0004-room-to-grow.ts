/**
 * Open content, artefacts, evidence by page, installs over the page. Everything there is comes along: items get a body,
 * what was served stays served (payloads for scripts of version 1, until those are gone from every browser), the answers of
 * a check become the looks of a reading, and what was removed can still be brought back.
 */
export const up = `
ALTER TABLE sources ADD COLUMN kind text NOT NULL DEFAULT 'feed';

ALTER TABLE items RENAME COLUMN guid TO key;
ALTER TABLE items ADD COLUMN language text, ADD COLUMN body jsonb;
UPDATE items SET body = jsonb_build_object('type', 'article', 'title', title, 'text', text, 'html', html, 'picture', picture);
ALTER TABLE items ALTER COLUMN body SET NOT NULL,
  DROP COLUMN title, DROP COLUMN text, DROP COLUMN html, DROP COLUMN picture;
-- As a source lists them, what it dropped behind.
DROP INDEX items_newest;
CREATE INDEX items_listed ON items (source_id, seen_at DESC, position, id);

-- The version of its kind in which settings were stored.
ALTER TABLE widgets ADD COLUMN kind_version integer NOT NULL DEFAULT 1;
ALTER TABLE releases ADD COLUMN kind_version integer NOT NULL DEFAULT 1;

-- A widget over the page stands in no placement. Which methods there are, the core knows.
ALTER TABLE installs ALTER COLUMN placement_id DROP NOT NULL;
ALTER TABLE installs DROP CONSTRAINT installs_method_check;
DROP INDEX installs_living;
CREATE UNIQUE INDEX installs_living ON installs (widget_id, page_id, placement_id) NULLS NOT DISTINCT WHERE status <> 'retired';

-- What an install serves, and how a widget looks in a list: made once, served as bytes.
CREATE TABLE artefacts (
  public_id text NOT NULL, form text NOT NULL,
  install_id uuid REFERENCES installs ON DELETE CASCADE,
  widget_id uuid REFERENCES widgets ON DELETE CASCADE,
  content_type text NOT NULL, bytes bytea NOT NULL, etag text NOT NULL,
  facts jsonb NOT NULL DEFAULT '{}', computed_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (public_id, form),
  CHECK ((install_id IS NULL) <> (widget_id IS NULL))
);
CREATE INDEX artefacts_install ON artefacts (install_id);
CREATE INDEX artefacts_widget ON artefacts (widget_id);
INSERT INTO artefacts (public_id, form, install_id, content_type, bytes, etag, facts, computed_at)
  SELECT public_id, 'payload-1', install_id, 'application/json; charset=utf-8', convert_to(body, 'UTF8'), body_etag, '{}', computed_at FROM payloads
  UNION ALL
  SELECT public_id, 'frame', install_id, 'text/html; charset=utf-8', convert_to(frame, 'UTF8'), frame_etag, jsonb_build_object('height', height), computed_at FROM payloads;
DROP TABLE payloads;

-- One gathering of looks at a page, which serves every install on it. Kept for a while only: a check may outlive its reading.
CREATE TABLE readings (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  page_id uuid NOT NULL REFERENCES pages ON DELETE CASCADE,
  began_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX readings_page ON readings (page_id, began_at DESC);
CREATE TABLE looks (
  reading_id uuid NOT NULL REFERENCES readings ON DELETE CASCADE,
  how text NOT NULL,
  url text NOT NULL, final_url text NOT NULL, status integer NOT NULL, headers jsonb NOT NULL,
  html text NOT NULL, ms integer NOT NULL, at timestamptz NOT NULL, error jsonb,
  PRIMARY KEY (reading_id, how)
);
ALTER TABLE checks ADD COLUMN reading_id uuid;
ALTER TABLE checks DROP CONSTRAINT checks_state_check;
DROP INDEX checks_under_way;
CREATE INDEX checks_under_way ON checks (started_at) WHERE state NOT IN ('queued', 'done', 'failed', 'stopped');
CREATE INDEX checks_waiting ON checks (install_id) WHERE state NOT IN ('done', 'failed', 'stopped');
INSERT INTO readings (id, page_id, began_at)
  SELECT c.id, i.page_id, coalesce(c.started_at, c.asked_at) FROM checks c JOIN installs i ON i.id = c.install_id
  WHERE EXISTS (SELECT 1 FROM answers a WHERE a.check_id = c.id);
INSERT INTO looks SELECT check_id, which, url, final_url, status, headers, html, ms, at, error FROM answers;
UPDATE checks SET reading_id = id WHERE id IN (SELECT id FROM readings);
DROP TABLE answers;

-- A finding is about something, and matters more or less.
ALTER TABLE findings RENAME COLUMN hands TO next_action;
ALTER TABLE findings ADD COLUMN subject text NOT NULL DEFAULT 'install', ADD COLUMN weight integer NOT NULL DEFAULT 50;
CREATE TEMP TABLE weights (code text, subject text, weight integer);
INSERT INTO weights VALUES ('unreachable', 'page', 100), ('moved', 'page', 95), ('still-there', 'install', 90),
  ('double', 'install', 80), ('wrong-placement', 'install', 75), ('script-stripped', 'install', 70), ('wrong-host', 'install', 65),
  ('no-width', 'install', 60), ('shown-as-text', 'install', 55), ('inert', 'install', 50), ('other-widget', 'install', 45),
  ('cached-copy', 'page', 40), ('unpublished', 'page', 35), ('absent', 'install', 30);
UPDATE findings f SET subject = w.subject, weight = w.weight FROM weights w WHERE w.code = f.code;
UPDATE findings SET proof = (proof - 'page') || jsonb_build_object('look', proof -> 'page');

-- The same for what was removed and can be brought back. Its order of putting back gets room for readings and looks.
UPDATE removed_rows SET position = position * 10;
UPDATE removed_rows r SET row_before = (row_before - 'hands') || jsonb_build_object('next_action', row_before -> 'hands',
    'subject', coalesce((SELECT subject FROM weights w WHERE w.code = row_before ->> 'code'), 'install'),
    'weight', coalesce((SELECT weight FROM weights w WHERE w.code = row_before ->> 'code'), 50),
    'proof', ((row_before -> 'proof') - 'page') || jsonb_build_object('look', row_before -> 'proof' -> 'page'))
  WHERE table_name = 'findings';
DROP TABLE weights;
CREATE TEMP TABLE removed_readings AS
  SELECT DISTINCT ON (c.removal_id, c.row_before ->> 'id') c.removal_id, c.position, c.row_before ->> 'id' AS id,
    i.row_before ->> 'page_id' AS page_id, c.row_before ->> 'asked_at' AS began_at
  FROM removed_rows c
  JOIN removed_rows a ON a.removal_id = c.removal_id AND a.table_name = 'answers' AND a.row_before ->> 'check_id' = c.row_before ->> 'id'
  JOIN removed_rows i ON i.removal_id = c.removal_id AND i.table_name = 'installs' AND i.row_before ->> 'id' = c.row_before ->> 'install_id'
  WHERE c.table_name = 'checks';
UPDATE removed_rows c SET row_before = c.row_before || jsonb_build_object('reading_id', r.id)
  FROM removed_readings r WHERE c.table_name = 'checks' AND c.removal_id = r.removal_id AND c.row_before ->> 'id' = r.id;
-- Where the page is still there, its looks belong to it and are simply back; else they went with the page.
INSERT INTO readings (id, page_id, began_at)
  SELECT r.id::uuid, r.page_id::uuid, r.began_at::timestamptz FROM removed_readings r JOIN pages p ON p.id = r.page_id::uuid;
INSERT INTO looks (reading_id, how, url, final_url, status, headers, html, ms, at, error)
  SELECT r.id::uuid, a.row_before ->> 'which', a.row_before ->> 'url', a.row_before ->> 'final_url', (a.row_before ->> 'status')::integer,
    a.row_before -> 'headers', a.row_before ->> 'html', (a.row_before ->> 'ms')::integer, (a.row_before ->> 'at')::timestamptz, nullif(a.row_before -> 'error', 'null'::jsonb)
  FROM removed_readings r JOIN readings live ON live.id = r.id::uuid
  JOIN removed_rows a ON a.removal_id = r.removal_id AND a.table_name = 'answers' AND a.row_before ->> 'check_id' = r.id;
DELETE FROM removed_rows a USING readings live WHERE a.table_name = 'answers' AND a.row_before ->> 'check_id' = live.id::text;
INSERT INTO removed_rows (removal_id, position, table_name, row_before)
  SELECT removal_id, position - 2, 'readings', jsonb_build_object('id', id, 'page_id', page_id, 'began_at', began_at)
  FROM removed_readings WHERE id::uuid NOT IN (SELECT id FROM readings);
UPDATE removed_rows SET table_name = 'looks', position = position - 15,
    row_before = (row_before - 'check_id' - 'which') || jsonb_build_object('reading_id', row_before -> 'check_id', 'how', row_before -> 'which')
  WHERE table_name = 'answers';
DROP TABLE removed_readings;
-- What it served is computed anew when it comes back.
DELETE FROM removed_rows WHERE table_name = 'payloads';
`
