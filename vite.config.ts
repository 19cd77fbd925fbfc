import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { basename } from 'node:path';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [laravel({ input: ['resources/js/app.tsx'], refresh: true }), react()],
  // A class keeps its name within that of its stylesheet, for those who look at the page: `_grid_workspace`.
  css: { modules: { generateScopedName: (name, file) => `_${name}_${basename(file).split('.')[0]}` } },
  build: { chunkSizeWarningLimit: 900 },
});
