/** What a sandboxed frame can be allowed (HTML standard, section 4.8.5, the iframe element's `sandbox` attribute). */
export const sandboxTokens = [
  'allow-downloads',
  'allow-forms',
  'allow-modals',
  'allow-orientation-lock',
  'allow-pointer-lock',
  'allow-popups',
  'allow-popups-to-escape-sandbox',
  'allow-presentation',
  'allow-same-origin',
  'allow-scripts',
  'allow-top-navigation',
  'allow-top-navigation-by-user-activation',
  'allow-top-navigation-to-custom-protocols',
] as const
export type SandboxToken = (typeof sandboxTokens)[number]
