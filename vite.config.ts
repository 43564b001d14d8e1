import { fileURLToPath, URL } from 'node:url'
import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  // Laravel's plugin is for building; it refuses to start where CI is set, and tests need nothing of it.
  plugins: [!process.env.VITEST && laravel({ input: 'resources/js/main.ts', refresh: false }), vue(), vuetify()],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  build: { chunkSizeWarningLimit: 900 },
  test: {
    include: ['resources/js/**/*.test.ts'],
    environment: 'happy-dom',
    environmentOptions: { happyDOM: { url: 'http://localhost/' } },
    server: { deps: { inline: ['vuetify'] } },
  },
})
