import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: {
    // Fonts and icons stay files: the content security policy allows them, and
    // a page that does not need one does not load it.
    assetsInlineLimit: 0,
  },
  server: { proxy: { '/api': 'http://localhost:8347' } },
  test: { include: ['src/**/*.test.ts'] },
});
