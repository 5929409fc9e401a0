import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  root: here('./app'),
  publicDir: here('./app/public'),
  plugins: [vue(), tailwindcss()],
  resolve: { alias: { '@core': here('./core'), '@app': here('./app'), '@demo': here('./demo') } },
  build: { outDir: here('./dist'), emptyOutDir: true, target: 'es2023', assetsInlineLimit: 0, reportCompressedSize: false },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5180 },
})
