import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { newQueryClient } from './shared/api/queries'
import { i18n } from './shared/i18n'
import { keepUpToDate } from './shared/device/keepUpToDate'
import './shared/tokens.css'

createApp(App)
  .use(createPinia())
  .use(router)
  .use(i18n)
  .use(VueQueryPlugin, { queryClient: newQueryClient() })
  .mount('#app')

keepUpToDate()
