import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { defineConfig } from 'vite';

/** Lays what was built beside itself compressed, as small as can be: it is built once and fetched often. */
const compressed = {
  name: 'compressed',
  apply: 'build',
  closeBundle() {
    const folder = 'public/build/assets';
    for (const file of readdirSync(folder).filter((name) => /\.(?:js|css|svg)$/.test(name))) {
      const content = readFileSync(`${folder}/${file}`);
      writeFileSync(`${folder}/${file}.br`, brotliCompressSync(content));
      writeFileSync(`${folder}/${file}.gz`, gzipSync(content, { level: 9 }));
    }
  },
};

export default defineConfig({
  plugins: [laravel({ input: ['resources/js/keep.ts', 'resources/js/school.ts'], refresh: true }), react(), compressed],
  // A class keeps its name within that of its stylesheet, for those who look at the page: `_grid_workspace`.
  css: { modules: { generateScopedName: (name, file) => `_${name}_${basename(file).split('.')[0]}` } },
  build: { chunkSizeWarningLimit: 900 },
});
