import { at, bare, inline, instead, type Incident } from './pieces'

export const notThePage: Incident[] = [
  instead(
    'sign-in at the same address',
    bare(
      'Log in',
      '<h1>Log in</h1><form method="post"><label>User <input name="u"></label><label>Password <input type="password" name="p"></label><button>Log in</button></form>',
    ),
  ),
  instead(
    'sign-in in two steps',
    bare(
      'Anmelden',
      '<h1>Anmelden</h1><form method="post"><label>E-Mail <input type="email" name="login" autocomplete="username"></label><button>Weiter</button></form>',
      'de',
    ),
  ),
  instead(
    'a password for the page',
    bare(
      'Protected: Timetable',
      '<main><h1>Protected: Timetable</h1><p>This content is password protected. To view it please enter your password below:</p><form><input type="password" name="post_password"><input type="submit" value="Enter"></form></main>',
    ),
  ),
  instead(
    'soft 404',
    bare(
      'Page not found – Ferries',
      '<header>Ferries</header><main><h1>Page not found</h1><p>It may have been moved or deleted.</p><form role="search"><input name="s"></form></main>',
    ),
  ),
  instead(
    'soft 404 in Japanese',
    bare(
      'ページが見つかりません',
      '<h1>ページが見つかりません</h1><p>お探しのページは削除された可能性があります。</p>',
      'ja',
    ),
  ),
  instead('soft 404 in Polish', bare('Nie znaleziono strony', '<h1>404</h1><p>Nie znaleziono strony.</p>', 'pl')),
  instead(
    'a question to robots',
    bare(
      'Just a moment...',
      '<h2>Checking your browser before you continue</h2><noscript>Enable JavaScript and cookies to continue</noscript><script src="/challenge.js"></script>',
    ),
  ),
  instead('a question to robots, 202', {
    status: 202,
    html: bare('', '<script>window.challenge=1</script><noscript>Please enable JavaScript.</noscript>'),
  }),
  instead(
    'a question to robots, in words',
    bare(
      'Sicherheitsprüfung',
      '<p>Bitte bestätigen Sie, dass Sie ein Mensch sind.</p><div class="captcha"></div>',
      'de',
    ),
  ),
  instead(
    'coming soon',
    bare('Coming soon', '<h1>Something new is coming soon</h1><p>Our new site is on its way.</p>'),
  ),
  instead(
    'maintenance',
    bare(
      'Under maintenance',
      '<h1>We’ll be back soon</h1><p>This site is briefly unavailable for scheduled maintenance. Check back in a minute.</p>',
    ),
  ),
  instead(
    'maintenance in Spanish',
    bare('En mantenimiento', '<h1>Sitio en mantenimiento</h1><p>Volvemos en unos minutos.</p>', 'es'),
  ),
  instead('nothing in it', bare('Timetable', '')),
  instead('nothing at all', ''),
  instead('an error', { status: 503, html: bare('x', 'x') }),
  instead('a sign-in elsewhere', {
    finalUrl: `${at}/login?then=/timetable`,
    html: bare('x', '<form><input type="password"></form>'),
  }),
  {
    name: 'a redirect that was not followed',
    looks: () => [{ status: 301, headers: { location: `${at}/sailings` }, html: '' }],
    says: ['moved'],
  },
  {
    name: 'a relative redirect that was not followed',
    looks: () => [{ status: 302, headers: { location: '/sailings' }, html: '' }],
    says: ['moved'],
  },
  {
    name: 'led on by the page itself',
    looks: () => [bare('x', '').replace('<title>', '<meta http-equiv="refresh" content="0; url=/sailings"><title>')],
    says: ['moved'],
  },
  {
    name: 'the same page in another encoding',
    looks: (s) => [{ url: `${at}/%C3%BCberfahrt~1`, finalUrl: `${at}/%c3%bcberfahrt%7E1`, html: s.with(inline) }],
    says: [],
  },
  {
    name: 'the same page with a session in its path',
    looks: (s) => [{ finalUrl: `${at}/timetable;jsessionid=A1B2C3`, html: s.with(inline) }],
    says: [],
  },
  {
    name: 'its page about lost things is no lost page',
    looks: (s) => [s.with(inline).replace(/<title>[^<]*/, '<title>Lost and found')],
    says: [],
  },
  {
    name: 'a page with a sign-in box beside',
    looks: (s) => [
      s.both(inline, '<form><input name="u"><input type="password" name="p"><button>Log in</button></form>'),
    ],
    says: [],
  },
]
