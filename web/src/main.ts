import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { i18n } from './shared/i18n'
import { keepUpToDate } from './shared/device/keepUpToDate'
import './shared/tokens.css'

// the browser's own word for whether there is a network says little: every read is tried
createApp(App)
  .use(createPinia())
  .use(router)
  .use(i18n)
  .use(VueQueryPlugin, {
    queryClientConfig: { defaultOptions: { queries: { retry: 1, staleTime: 5_000, networkMode: 'always' } } },
  })
  .mount('#app')

keepUpToDate()
