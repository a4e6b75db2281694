import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  base: '/static/',
  plugins: [react()],
  css: { preprocessorOptions: { scss: { quietDeps: true } } },
  build: {
    sourcemap: false,
    assetsInlineLimit: 0,
    // What is not ours changes seldom, so a browser keeps it over our releases.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'libraries', test: /node_modules/ }] } } },
  },
  test: { environment: 'jsdom', setupFiles: ['src/test-setup.ts'], globals: false, css: true, pool: 'vmThreads' },
});
