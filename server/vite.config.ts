import { defineConfig } from 'vite';

/** One file for the server: core and server bundled, packages left in node_modules. */
export default defineConfig({
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', emptyOutDir: true, minify: false },
  ssr: { noExternal: [/^@north-pane\//] },
});
