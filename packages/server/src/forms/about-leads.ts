/** Mails about any of `$leads`, an array of ids as text; served by the index `mails_leads`. */
export const ABOUT_LEADS = `lead_ids <> '[]' AND lead_ids ?| $leads::text[]`
