/**
 * The text of a bookmark that opens the window in which the page one is reading is picked. What it gathers goes along behind a `#`,
 * so that no server hears of it before it is kept.
 * @param window address of that window
 */
export const bookmarklet = (window: string): string =>
  `javascript:${encodeURIComponent(`(${gather})(${JSON.stringify(window)})`)}`

/** Runs on any page, written so that it needs nothing of it. */
const gather = `function(to){
var d=document,m=function(){for(var i=0;i<arguments.length;i++){var e=d.querySelector('meta[property="'+arguments[i]+'"],meta[name="'+arguments[i]+'"]');if(e&&e.content)return e.content.trim()}return''};
var big=[].slice.call(d.images).filter(function(i){return i.naturalWidth>=120&&i.naturalHeight>=90}).sort(function(a,b){return b.naturalWidth*b.naturalHeight-a.naturalWidth*a.naturalHeight}).map(function(i){return i.currentSrc||i.src});
var seen={},q=new URLSearchParams();
q.set('link',location.href);
q.set('title',m('og:title')||d.title);
q.set('text',(String(getSelection())||m('og:description','description')).trim().slice(0,2000));
q.set('language',d.documentElement.lang);
q.set('site',m('og:site_name','application-name')||location.hostname.replace(/^www\\./,''));
[m('og:image'),m('image')].concat(big).forEach(function(u){try{u=u&&new URL(u,location.href).href}catch(e){u=''}if(/^https?:/.test(u)&&!seen[u]&&Object.keys(seen).length<8){seen[u]=1;q.append('picture',u)}});
open(to+'#'+q,'_blank','popup,noopener,width=520,height=720')
}`.replaceAll('\n', '')
