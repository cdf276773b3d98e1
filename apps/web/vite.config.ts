import { constants } from 'node:zlib';
import optimizeLocales from '@react-aria/optimize-locales-plugin';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
  plugins: [
    react(),
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
  ],
  build: { target: 'es2022' },
  // `npm run dev -w @orthokin/web` works on the server that ./start serves.
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
