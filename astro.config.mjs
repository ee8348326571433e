import { join } from 'node:path';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, passthroughImageService } from 'astro/config';
import { buildBeside } from './scripts/worker.mjs';

/** The worker thread, the front door and the service worker are built with the pages. */
const beside = {
  name: 'beside-the-pages',
  hooks: {
    'astro:build:done': () => {
      const dist = join(import.meta.dirname, 'dist');
      return buildBeside(import.meta.dirname, { server: join(dist, 'server'), client: join(dist, 'client') });
    },
  },
};

export default defineConfig({
  output: 'server',
  // files and connections are the front door's (server/front.ts)
  adapter: node({ mode: 'middleware' }),
  integrations: [react(), beside],
  // no pictures are resized here
  image: { service: passthroughImageService() },
  devToolbar: { enabled: false },
  // a link that is merely pointed at is not fetched: some of them are a whole backup
  prefetch: false,
  // the guards of server/http check origins on every write, not only on forms
  security: { checkOrigin: false },
  // nothing inline but what the content policy knows
  build: { inlineStylesheets: 'never' },
  vite: { plugins: [tailwindcss()], build: { assetsInlineLimit: 0 } },
});
