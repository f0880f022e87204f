import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    laravel({ input: ['web/main.tsx'], refresh: false }),
    react(),
    // Kept on the device, so that it opens without signal. What people read and write is kept by web/kept, never by the worker.
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
        additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: { target: 'es2022' },
});
