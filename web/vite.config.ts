import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'

const version = (JSON.parse(readFileSync(new URL('./package.json', import.meta.url), 'utf8')) as { version: string })
  .version

export default defineConfig({
  define: { __PAGE_VERSION__: JSON.stringify(version) },
  plugins: [
    vue(),
    tailwindcss(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: null,
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Kind Girdle',
        short_name: 'Kind Girdle',
        description: 'Air layering, from the mother plant to the released young plant',
        id: '/',
        start_url: '/',
        scope: '/',
        display: 'standalone',
        background_color: '#F5F1E6',
        theme_color: '#F5F1E6',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        // the pages themselves; nothing of the API is ever kept by the worker
        globPatterns: ['**/*.{js,css,html,svg,woff2,png}'],
        navigateFallback: 'index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//, /^\/calendar\//, /^\/trust/],
        inlineWorkboxRuntime: true,
      },
    }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  // fonts stay files of their own: the policy of the pages allows no data: fonts
  build: { assetsInlineLimit: 0, target: 'es2022' },
  server: { proxy: { '/api': 'http://127.0.0.1:8090' } },
  test: {
    include: ['src/**/*.test.ts'],
    // a slow machine is not a fault of a form
    testTimeout: 30_000,
    environment: 'happy-dom',
    environmentOptions: { happyDOM: { url: 'http://localhost/' } },
  },
})
