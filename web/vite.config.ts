import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  resolve: {
    // The core is read from source, so that the page never waits for its build.
    alias: { '@olvet/core': fileURLToPath(new URL('../core/src/index.ts', import.meta.url)) },
  },
  worker: { format: 'es' },
  build: { target: 'es2022', chunkSizeWarningLimit: 900 },
  server: { host: '127.0.0.1', proxy: { '/api': process.env.API_ADDRESS ?? 'http://127.0.0.1:4790' } },
});
