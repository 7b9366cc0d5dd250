import { escape } from '../html'
import type { Profile } from './profiles'
import type { KeptPost } from './state'

export const shell = (title: string, body: string) =>
  `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Isle Frames</title>
<style>body{font:16px/1.5 "Liberation Sans",Arial,sans-serif;max-width:860px;margin:0 auto;padding:24px 20px 60px;color:#23262b}ul.w{list-style:none;padding:0;display:flex;flex-wrap:wrap;gap:10px}ul.w img{width:180px;height:180px;object-fit:cover;display:block}code,textarea{display:block;width:100%;word-break:break-all}form{margin:16px 0;display:grid;gap:8px;justify-items:start}</style></head>
<body><header><strong>Isle Frames</strong> <nav><a href="/">All profiles</a></nav></header><main>${body}</main></body></html>`

export const drawn = ({ name, width, height }: KeptPost['pictures'][number]) => `/drawn/${name}-${width}x${height}.jpg`

const wall = (posts: readonly KeptPost[]) =>
  `<ul class="w">${posts
    .slice(0, 24)
    .map(
      ({ id, pictures }) =>
        `<li><a href="/p/${id}"><img src="${drawn(pictures[0]!)}" alt="${escape(pictures[0]!.alt)}" loading="lazy"></a></li>`,
    )
    .join('')}</ul>`

/** Captions lead to the profiles and tags in them. */
const linked = (caption: string) =>
  escape(caption)
    .replace(/#([\p{L}\p{N}_]+)/gu, '<a href="/tagged/$1">#$1</a>')
    .replace(/@([a-z0-9._]*[a-z0-9_])/gi, '<a href="/@$1">@$1</a>')

export const listing = (all: readonly { profile: Profile; handle: string }[]) =>
  shell(
    'Profiles',
    `<h1>Profiles</h1><ul>${all.map(({ profile, handle }) => `<li><a href="/@${handle}">${escape(profile.name)}</a>, @${handle}</li>`).join('')}</ul>`,
  )

export function profilePage(
  profile: Profile,
  handle: string,
  posts: readonly KeptPost[] | null,
  origin: string,
): string {
  const { name, bio, followers, following } = profile
  const embed = `<blockquote data-frames="${handle}"><a href="${origin}/@${handle}">@${handle} on Isle Frames</a></blockquote>`
  return shell(
    name,
    `<h1>${escape(name)}</h1><p>@${handle} · ${posts ? `${posts.length} posts · ` : ''}${followers} followers · follows ${following}</p><p>${escape(bio)}</p>` +
      (posts
        ? `${wall(posts)}<p><a href="/@${handle}/named">Posts that name it</a> · <a href="/own/${handle}">For its owner</a></p><h2>Show it on a page</h2><code>${escape(embed)}</code>`
        : `<p>This profile is private. <a href="/own/${handle}">For its owner</a></p>`),
  )
}

export const wallPage = (title: string, posts: readonly KeptPost[]) =>
  shell(title, `<h1>${escape(title)}</h1><p>${posts.length} posts</p>${wall(posts)}`)

export function postPage(
  { caption, pictures, likes, comments, at, seconds }: KeptPost,
  by: Profile,
  handle: string,
): string {
  const shown = pictures.map(
    (one) => `<img src="${drawn(one)}" alt="${escape(one.alt)}" style="max-width:100%;height:auto">`,
  )
  return shell(
    `${by.name}: a post`,
    `<p><a href="/@${handle}">${escape(by.name)}</a>, ${at.slice(0, 10)}${seconds === null ? '' : `, a clip of ${seconds} s`}</p>${shown.join('')}<p>${linked(caption)}</p><p>${likes} likes, ${comments} comments</p>`,
  )
}

export const ownerPage = (profile: Profile, handle: string, posts: readonly KeptPost[]) =>
  shell(
    profile.name,
    `<h1>${escape(profile.name)}</h1><form method="post"><label>Caption <textarea name="caption" rows="3" required></textarea></label><label>What it shows <input name="scene" value="${profile.scenes[0]}"></label><button name="what" value="post">Post it</button></form>` +
      `<form method="post"><label>Another handle <input name="handle" value="${handle}"></label><button name="what" value="rename">Rename</button><button name="what" value="close">Close the profile</button></form>` +
      `<ul>${posts
        .slice(0, 30)
        .map(
          ({ id, caption }) =>
            `<li>${escape(caption)} <form method="post"><input type="hidden" name="post" value="${id}"><button name="what" value="delete">Take it out</button></form></li>`,
        )
        .join('')}</ul>`,
  )
