import { constants } from 'node:zlib';
import optimizeLocales from '@react-aria/optimize-locales-plugin';
import babel from '@rolldown/plugin-babel';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

const MB = 2 ** 20;
/** The model that finds a body in a film, and what it runs on: 16 MB that few ask for. */
const ONLY_WHEN_WANTED = ['**/*.tflite', '**/*.wasm', '**/litert_*'];

/**
 * A page as the server sends it; where it does not for a while, as it was put aside. Runs in the service
 * worker, as it is written here.
 */
const pageOrPutAside = async ({ request }: { request: Request }): Promise<Response> => {
  const tooLong = new Promise<null>((done) => setTimeout(() => done(null), 4000));
  const answered = await Promise.race([fetch(request).catch(() => null), tooLong]);
  const usable = answered && answered.status < 500 ? answered : null;
  return usable ?? (await caches.match('/index.html', { ignoreSearch: true })) ?? Response.error();
};

export default defineConfig({
  plugins: [
    react(),
    // Round each frame of a film stands a desk of forty parts: what did not change is not drawn anew. Of the
    // whole app it would cost every build a minute, where nothing else has to keep up with a screen.
    babel({ include: /\/src\/film\/.*\.tsx?$/, presets: [reactCompilerPreset()] }),
    // React Aria brings its own words in 34 languages; another of ours names it here as well.
    optimizeLocales.vite({ locales: ['en-US', 'en-GB'] }),
    // Packed once and as tightly as can be, where packing for every visitor had to be quick.
    compression({
      include: /\.(js|css|svg|json)$/,
      threshold: 1024,
      algorithms: [
        ['brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }],
        'gzip',
      ],
    }),
    // Without a network the app opens from what it put aside at the first visit (see docs/offline.md).
    VitePWA({
      // The app registers it itself: a new version is taken when somebody says so, never in a set.
      ...{ injectRegister: false, registerType: 'prompt' },
      manifest: {
        ...{ name: 'Orthokin', short_name: 'Orthokin', lang: 'en', display: 'standalone' },
        description: 'Footwork broken into positions, reaction and recovery timed on cued drills.',
        ...{ start_url: '/', id: '/', background_color: '#F7F3EB', theme_color: '#F7F3EB' },
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      includeManifestIcons: false,
      workbox: {
        globPatterns: ['index.html', 'soles.svg', 'assets/**/*.{js,css,woff2}'],
        globIgnores: ONLY_WHEN_WANTED,
        maximumFileSizeToCacheInBytes: 2 * MB,
        // Pages come from the server while it answers: what it lets them connect to is its to say anew.
        ...{ directoryIndex: null, navigateFallback: null },
        ...{ clientsClaim: true, cleanupOutdatedCaches: true, inlineWorkboxRuntime: true },
        runtimeCaching: [
          {
            urlPattern: ({ request, url }) =>
              request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
            handler: pageOrPutAside,
          },
          {
            urlPattern: ({ url }) => /^\/spoken\/|\.(tflite|wasm|webm)$/.test(url.pathname),
            handler: 'CacheFirst',
            options: { cacheName: 'when-wanted' },
          },
        ],
      },
    }),
  ],
  build: {
    target: 'es2022',
    rolldownOptions: {
      output: {
        // What the first page needs is one file: left to itself it is thirty, a few for each set of places that
        // share something, each asked for by itself by a phone at the floor.
        codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] },
      },
    },
  },
  // `npm run dev -w @orthokin/web` works on the server that ./start serves.
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
