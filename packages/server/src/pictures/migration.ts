/**
 * Pictures of items as we serve them ourselves, and which widgets show them. A widget is named without being referred to: one that
 * was taken out can come back, and with its pictures.
 */
export const pictures = {
  name: '0018-pictures',
  sql: `
CREATE TABLE pictures (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  source_url text NOT NULL UNIQUE,
  content_hash text,
  widths jsonb NOT NULL DEFAULT '[]',
  problem text,
  tried_at timestamptz NOT NULL DEFAULT now(),
  used_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX pictures_content ON pictures (content_hash);
CREATE TABLE picture_copies (
  content_hash text NOT NULL,
  width integer NOT NULL,
  format text NOT NULL,
  bytes bytea NOT NULL,
  PRIMARY KEY (content_hash, width, format)
);
CREATE TABLE widget_pictures (
  widget_id uuid NOT NULL,
  picture_id uuid NOT NULL REFERENCES pictures (id) ON DELETE CASCADE,
  PRIMARY KEY (widget_id, picture_id)
);
CREATE INDEX widget_pictures_picture ON widget_pictures (picture_id);
`,
}

/** Pictures that people uploaded, as they came. */
export const uploads = {
  name: '0020-uploads',
  sql: `
CREATE TABLE uploads (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  format text NOT NULL,
  bytes bytea NOT NULL,
  uploaded_by uuid REFERENCES users (id) ON DELETE SET NULL,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX uploads_uploaded_by ON uploads (uploaded_by);
`,
}
