/** What a colour of a widget is for. Each is a variable that own CSS may use: `--accent`. */
export const colourRoles = ['text', 'background', 'accent', 'border', 'hover', 'star', 'button'] as const
export type ColourRole = (typeof colourRoles)[number]

/** Colours of a theme of ours, each #rrggbb. */
export type Palette = Record<Exclude<ColourRole, 'hover'>, string>

export const palettes: Record<'light' | 'dark', Palette> = {
  light: {
    text: '#1d2428',
    background: '#ffffff',
    accent: '#1f5f8b',
    border: '#c6cdd2',
    star: '#a86f00',
    button: '#1d2428',
  },
  dark: {
    text: '#e9edef',
    background: '#161b1f',
    accent: '#8ec5ea',
    border: '#414c54',
    star: '#e6b450',
    button: '#e9edef',
  },
}

/** What is known of the page around a widget, for what is measured. */
export interface SiteColours {
  text: string
  background: string
  /** '' where it is not known. */
  accent: string
  button: string
  buttonText: string
}

/** Where nobody has noted a site's look: dark on white, as most are. */
export const usualSite: SiteColours = { text: '#1d2b34', background: '#ffffff', accent: '', button: '', buttonText: '' }
