import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { whenSignedOut } from './api/call'
import App from './App.vue'
import { applyTheme } from './frame/theme'
import { router } from './router'
import { useSession } from './stores/session'
import './style.css'

applyTheme()
const app = createApp(App)
app.use(createPinia())
app.use(router)
whenSignedOut(() => {
  useSession().forget()
  const here = router.currentRoute.value
  if (!here.meta.open) void router.push({ path: '/sign-in', query: { then: here.fullPath } })
})
app.mount('#app')
