import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import type { Plugin } from 'vite';

/** A worker has no document: what would ask one for the names of characters takes its table of them. */
const namesWithoutPage = (): Plugin => ({
  name: 'names-without-page',
  enforce: 'pre',
  resolveId: (name) =>
    name === 'decode-named-character-reference'
      ? fileURLToPath(new URL('../../node_modules/decode-named-character-reference/index.js', import.meta.url))
      : null,
});

export default defineConfig({
  plugins: [react(), tailwindcss()],
  // One copy of Yjs, or its documents do not know each other.
  resolve: {
    dedupe: ['yjs', 'react', 'react-dom'],
    // Dictionaries hand out their files to Node alone; a browser is given the files themselves.
    alias: [
      {
        find: /^(dictionary-[\w-]+)\/(index\.(?:aff|dic))/,
        replacement: fileURLToPath(new URL('../../node_modules/$1/$2', import.meta.url)),
      },
    ],
  },
  // Fonts and pictures stay files: data addresses would need a wider content security policy.
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 1500 },
  worker: { format: 'es', plugins: () => [namesWithoutPage()] },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:8420', ws: true }, '/library': 'http://127.0.0.1:8420' } },
});
