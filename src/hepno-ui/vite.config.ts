import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  build: {
    outDir: '../Hepno.Web/wwwroot',
    emptyOutDir: true,
    sourcemap: false,
    chunkSizeWarningLimit: 600,
    // the CSP has no font-src data:, so nothing is inlined
    assetsInlineLimit: 0,
  },
  server: { port: 5173, strictPort: true, proxy: { '/api': 'http://127.0.0.1:5080' } },
  test: {
    environment: 'happy-dom',
    include: ['src/**/*.test.ts'],
  },
})
