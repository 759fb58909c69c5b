import { fileURLToPath } from 'node:url';
import babel from '@rolldown/plugin-babel';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  // Memoisation is the compiler's: what it cannot compile breaks the build, where its file does not say 'use no memo' and why.
  plugins: [react(), babel({ presets: [reactCompilerPreset({ panicThreshold: 'critical_errors' })] })],
  // changeOrigin stays off: the server checks that Host and Origin are the same.
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4170' } } },
  build: { target: 'es2023', sourcemap: false, chunkSizeWarningLimit: 800, manifest: true },
  worker: { format: 'es' },
  // The solver asks for it beside a file system only; in a browser there is none.
  resolve: { alias: { 'node:module': fileURLToPath(new URL('src/workers/noModule.ts', import.meta.url)) } },
});
