import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwind()],
  build: { target: 'es2022', modulePreload: { polyfill: false } },
  server: {
    proxy: Object.fromEntries(
      ['/api', '/caliper', '/printer'].map((path) => [path, 'http://127.0.0.1:4870']),
    ),
  },
});
