import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  root: here('./app'),
  publicDir: here('./app/public'),
  plugins: [
    vue(),
    tailwindcss(),
    VitePWA({
      injectRegister: false,
      registerType: 'autoUpdate',
      manifest: {
        name: 'Lamp Reel',
        short_name: 'Lamp Reel',
        description: 'Plan episodes, see what is due, and hand over each release.',
        start_url: '/jot',
        scope: '/',
        display: 'standalone',
        background_color: '#17131c',
        theme_color: '#17131c',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
        ],
        share_target: {
          action: '/jot',
          method: 'GET',
          enctype: 'application/x-www-form-urlencoded',
          params: { title: 'title', text: 'text', url: 'url' },
        },
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}', 'icon-*.png'],
        globIgnores: ['index.html', 'post.html'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/jot.html',
        navigateFallbackAllowlist: [/^\/jot(\?|$)/],
        inlineWorkboxRuntime: true,
        clientsClaim: true,
        runtimeCaching: [
          {
            urlPattern: ({ request, url }) =>
              request.mode === 'navigate' &&
              !url.pathname.startsWith('/post') &&
              !url.pathname.startsWith('/mail'),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'pages',
              networkTimeoutSeconds: 4,
              plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
            },
          },
        ],
      },
    }),
  ],
  resolve: { alias: { '@core': here('./core'), '@app': here('./app'), '@demo': here('./demo') } },
  build: {
    outDir: here('./dist'),
    emptyOutDir: true,
    target: 'es2023',
    assetsInlineLimit: 0,
    reportCompressedSize: false,
    rollupOptions: {
      input: { main: here('./app/index.html'), jot: here('./app/jot.html'), post: here('./app/post.html') },
    },
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5180 },
})
