import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  build: { target: 'es2022' },
  // `npm run dev -w @orthokin/web` works on the server that ./start serves.
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
