import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import { useSession } from './stores/session'

declare module 'vue-router' {
  interface RouteMeta {
    title: string
    open?: boolean
    /** Stands alone, without the line at the top. */
    bare?: boolean
    /** Which of the places on the top line it belongs to. */
    place?: string
  }
}

const routes: RouteRecordRaw[] = [
  { path: '/', redirect: '/today' },
  { path: '/sign-in', component: () => import('./screens/sign-in/SignIn.vue'), meta: { title: 'Sign in', open: true } },
  { path: '/set-up', component: () => import('./screens/set-up/SetUp.vue'), meta: { title: 'Set up', open: true } },
  { path: '/today', component: () => import('./screens/today/Today.vue'), meta: { title: 'Today', place: 'today' } },
  { path: '/sites', component: () => import('./screens/sites/Sites.vue'), meta: { title: 'Sites', place: 'sites' } },
  {
    path: '/sites/:id',
    component: () => import('./screens/site/Site.vue'),
    meta: { title: 'Site', place: 'sites' },
    props: true,
  },
  {
    path: '/sites/:id/rehearsal',
    component: () => import('./screens/rehearsal/Rehearsal.vue'),
    meta: { title: 'Rehearsal', place: 'sites' },
    props: true,
  },
  {
    path: '/widgets',
    component: () => import('./screens/widgets/Widgets.vue'),
    meta: { title: 'Widgets', place: 'widgets' },
  },
  {
    path: '/widgets/:id',
    component: () => import('./screens/workbench/Workbench.vue'),
    meta: { title: 'Workbench', place: 'widgets' },
    props: true,
  },
  {
    path: '/widgets/:id/answers',
    component: () => import('./screens/answers/Answers.vue'),
    meta: { title: 'What becomes of the answers', place: 'widgets' },
    props: true,
  },
  { path: '/results', redirect: '/results/leads' },
  {
    path: '/results/leads',
    component: () => import('./screens/leads/Leads.vue'),
    meta: { title: 'Answers', place: 'results' },
  },
  {
    path: '/results/leads/:id',
    component: () => import('./screens/leads/LeadPage.vue'),
    meta: { title: 'An answer', place: 'results' },
    props: true,
  },
  {
    path: '/sources',
    component: () => import('./screens/sources/Sources.vue'),
    meta: { title: 'Sources', place: 'widgets' },
  },
  {
    path: '/sources/connected',
    component: () => import('./screens/sources/Connected.vue'),
    meta: { title: 'Connecting', place: 'widgets' },
  },
  {
    path: '/sources/:id',
    component: () => import('./screens/source/Source.vue'),
    meta: { title: 'Source', place: 'widgets' },
    props: true,
  },
  {
    path: '/pick',
    component: () => import('./screens/pick/PickWindow.vue'),
    meta: { title: 'Pick a page', bare: true },
  },
  {
    path: '/installs',
    component: () => import('./screens/installs/Installs.vue'),
    meta: { title: 'Installs', place: 'installs' },
  },
  {
    path: '/installs/:id',
    component: () => import('./screens/install/Install.vue'),
    meta: { title: 'Install', place: 'installs' },
    props: true,
  },
  {
    path: '/platforms',
    component: () => import('./screens/platforms/Platforms.vue'),
    meta: { title: 'Platforms', place: 'sites' },
  },
  {
    path: '/platforms/:id',
    component: () => import('./screens/platforms/Platform.vue'),
    meta: { title: 'Platform', place: 'sites' },
    props: true,
  },
  {
    path: '/account',
    component: () => import('./screens/account/Account.vue'),
    meta: { title: 'Your account' },
  },
  {
    path: '/removed',
    component: () => import('./screens/removed/Removed.vue'),
    meta: { title: 'Removed' },
  },
  { path: '/:rest(.*)*', component: () => import('./screens/NotHere.vue'), meta: { title: 'Not here' } },
]

export const router = createRouter({
  history: createWebHistory(),
  routes,
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
})

router.beforeEach(async (to) => {
  const session = useSession()
  if (!session.known) await session.load().catch(() => {})
  if (to.meta.open || session.person) return true
  return session.needsSetUp && !session.demo ? '/set-up' : { path: '/sign-in', query: { then: to.fullPath } }
})

router.afterEach((to) => {
  document.title = `${to.meta.title} · Pebblestrand`
})
