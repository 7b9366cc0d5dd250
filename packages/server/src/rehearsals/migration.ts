/** Made-up visits that are kept with a site, and what is expected of them. */
export const visitExpectations = {
  name: '0031-visit-expectations',
  sql: `
CREATE TABLE visit_expectations (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  site_id uuid NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
  name text NOT NULL,
  visit jsonb NOT NULL,
  expected jsonb NOT NULL,
  made_by uuid REFERENCES users (id) ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX visit_expectations_site ON visit_expectations (site_id);
CREATE INDEX visit_expectations_by ON visit_expectations (made_by);
-- Which widgets another one stands in.
CREATE INDEX widgets_inside ON widgets ((draft ->> 'inside')) WHERE draft ->> 'inside' <> '';
CREATE INDEX releases_inside ON releases ((settings ->> 'inside')) WHERE settings ->> 'inside' <> '';
`,
}
