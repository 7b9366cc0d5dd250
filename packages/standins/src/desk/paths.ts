/** Where a site's editing desk answers, below the site's own address. */
export const deskPaths = {
  home: '/desk',
  signIn: '/desk/sign-in',
  signOut: '/desk/sign-out',
  cache: '/desk/cache',
  settings: '/desk/settings',
  page: (path: string) => `/desk/page?path=${encodeURIComponent(path)}`,
}

/** The simulated editors' only account; printed on the sign-in page. */
export const deskAccount = { name: 'editor', password: 'island' }
