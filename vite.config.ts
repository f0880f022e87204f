import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** What is built now is told from what was built of other sources: what an earlier one kept on a device is not read by a later. */
const sources = readdirSync('web', { recursive: true, withFileTypes: true })
  .flatMap((file) => (file.isFile() ? `${file.parentPath}/${file.name}` : []))
  .sort();
const version = sources
  .reduce((hash, file) => hash.update(readFileSync(file)), createHash('sha256'))
  .digest('hex')
  .slice(0, 12);

export default defineConfig({
  define: { __VERSION__: JSON.stringify(version) },
  plugins: [
    laravel({ input: ['web/main.tsx'], refresh: false }),
    react(),
    // Kept on the device, so that it opens without signal. What people read and write is kept by web/offline, never by the worker.
    VitePWA({
      outDir: 'public',
      base: '/',
      scope: '/',
      buildBase: '/',
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Jardinier',
        short_name: 'Jardinier',
        description: "Keeps a yard's machines alive",
        start_url: '/walkaround',
        scope: '/',
        display: 'standalone',
        background_color: '#F3EFE6',
        theme_color: '#F3EFE6',
        icons: [
          { src: '/icons/mark-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icons/mark-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icons/mark-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css,woff2,wasm}'],
        modifyURLPrefix: { 'assets/': '/build/assets/' },
        additionalManifestEntries: [{ url: '/', revision: version }],
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: {
    target: 'es2022',
    rolldownOptions: {
      output: {
        // The pages of a place are called after it.
        chunkFileNames: ({ facadeModuleId }) =>
          `assets/${/(\w+)\/pages\.ts$/.exec(facadeModuleId ?? '')?.[1] ?? '[name]'}-[hash].js`,
      },
    },
  },
});
