import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue(), tailwind()],
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 800, manifest: true },
  worker: { format: 'es' },
  server: {
    proxy: {
      '/api': 'http://localhost:4600',
      '/stage': 'http://localhost:4600',
      '/strand.js': 'http://localhost:4600',
      '/fonts': 'http://localhost:4600',
    },
  },
})
