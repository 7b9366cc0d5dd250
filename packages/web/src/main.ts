import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { whenSignedOut } from './api/call'
import App from './App.vue'
import { applyTheme } from './frame/theme'
import { queryClient } from './queries/query'
import { router } from './router'
import { useSession } from './stores/session'
import './style.css'

applyTheme()
const app = createApp(App)
app.use(createPinia())
app.use(VueQueryPlugin, { queryClient })
app.use(router)
whenSignedOut(() => {
  useSession().forget()
  const here = router.currentRoute.value
  if (!here.meta.open) void router.push({ path: '/sign-in', query: { then: here.fullPath } })
})
app.mount('#app')
