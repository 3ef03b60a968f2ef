import tailwindcss from '@tailwindcss/vite';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** The trainee's page under its own address, as the built server has it. */
const ownPage: Plugin = {
  name: 'own-page',
  configureServer(server) {
    server.middlewares.use((request, _reply, next) => {
      if (/^\/own(?:[/?]|$)/.test(request.url ?? '')) request.url = '/own.html';
      next();
    });
  },
};

export default defineConfig({
  // The weights lie in a package that does not name them among its exports.
  resolve: { alias: { 'pose-model': fileURLToPath(new URL('../node_modules/@vladmandic/human/models', import.meta.url)) } },
  plugins: [react(), tailwindcss(), ownPage],
  worker: { format: 'es' },
  build: {
    assetsInlineLimit: 0,
    outDir: 'dist',
    emptyOutDir: true,
    manifest: true,
    // The coach's program, and the trainee's page, which is a small one of its own.
    rollupOptions: { input: ['index.html', 'own.html'].map((page) => fileURLToPath(new URL(page, import.meta.url))) },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4170' } },
});
