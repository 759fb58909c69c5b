import { defineConfig } from 'vite';

/** One file for the server and one for its worker: core and server bundled, packages left in node_modules. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
    minify: false,
    rolldownOptions: {
      input: { main: 'src/main.ts', parseWorker: 'src/import/parseWorker.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
  ssr: { noExternal: [/^@north-pane\//] },
});
