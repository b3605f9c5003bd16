import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: {
    // Fonts and icons stay files: the content security policy allows them, and
    // a page that does not need one does not load it.
    assetsInlineLimit: 0,
  },
  // The program answers its own pages only, so that requests go to it as from one.
  server: {
    proxy: {
      '/api': {
        target: 'http://localhost:8347',
        changeOrigin: true,
        headers: { origin: 'http://localhost:8347' },
      },
    },
  },
  test: {
    include: ['src/**/*.test.ts'],
    // The packer of rectangles ships its module only for bundlers.
    server: { deps: { inline: ['maxrects-packer'] } },
  },
});
