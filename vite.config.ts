import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { files, noCircles } from './vite.files'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The rhythm's package without its sentences in words (a fifth of it): the program says rhythms itself. */
const withoutRuleTexts: Plugin = {
  name: 'without-rule-texts',
  enforce: 'pre',
  resolveId: (source, importer) =>
    source === './nlp/index' && importer?.includes('rrule') ? here('./app/data/no-rule-texts.ts') : undefined,
}

export default defineConfig({
  root: here('./app'),
  publicDir: here('./app/public'),
  plugins: [
    vue(),
    withoutRuleTexts,
    tailwindcss(),
    noCircles,
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
        globIgnores: ['index.html', 'post.html', 'helper.html'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/jot.html',
        navigateFallbackAllowlist: [/^\/jot(\?|$)/],
        inlineWorkboxRuntime: true,
        clientsClaim: true,
        runtimeCaching: [
          {
            // The belt opens without network, once it was opened with it.
            urlPattern: ({ request, url }) => request.mode === 'navigate' && url.pathname.startsWith('/belt'),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'belt',
              networkTimeoutSeconds: 4,
              precacheFallback: { fallbackURL: '/belt.html' },
              plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/belt') }],
            },
          },
          {
            urlPattern: ({ request, url }) =>
              request.mode === 'navigate' &&
              !url.pathname.startsWith('/post') &&
              !url.pathname.startsWith('/belt') &&
              !url.pathname.startsWith('/for/') &&
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
  resolve: {
    alias: {
      // What it is for browsers of these years; its usual file is for older ones too.
      dexie: here('./node_modules/dexie/dist/modern/dexie.mjs'),
      '@core': here('./core'),
      '@app': here('./app'),
      '@demo': here('./demo'),
    },
  },
  define: { __VUE_OPTIONS_API__: 'false' },
  build: {
    outDir: here('./dist'),
    emptyOutDir: true,
    target: 'es2023',
    assetsInlineLimit: 0,
    reportCompressedSize: false,
    // A page's own scripts are asked for together; what is opened later asks for its own: a list in advance of what
    // every part needs would be a twentieth of the first script.
    modulePreload: {
      resolveDependencies: (_, needed, { hostType }) =>
        hostType === 'html' ? needed : needed.filter((file) => file.endsWith('.css')),
    },
    rolldownOptions: {
      // Its index brings nothing but what is taken from it.
      treeshake: { moduleSideEffects: [{ test: /node_modules.rrule\b/, sideEffects: false }] },
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: files,
        },
      },
      input: {
        main: here('./app/index.html'),
        jot: here('./app/jot.html'),
        post: here('./app/post.html'),
        belt: here('./app/belt.html'),
        helper: here('./app/helper.html'),
      },
    },
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5180 },
})
