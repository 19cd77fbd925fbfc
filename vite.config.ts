import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';

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

/** What pages are made of, and fetch while one is there: those of the school, the one of an account, which everybody has, and the administrator's. Found anew by each build. */
const made = { school: new Set<string>(), account: new Set<string>(), keep: new Set<string>() };
const findsOfSides: Plugin = {
  name: 'finds-of-sides',
  buildEnd() {
    for (const [of, pages] of [
      [made.school, /\/pages\/(?:learner\/|SignIn|Error)/],
      [made.account, /\/pages\/Account\.tsx$/],
      [made.keep, /\/keepBoot\.tsx$/],
    ] as const) {
      of.clear();
      const left = [...this.getModuleIds()].filter((id) => pages.test(id));
      for (let id = left.pop(); id !== undefined; id = left.pop()) {
        if (!of.has(id)) {
          of.add(id);
          const module = this.getModuleInfo(id);
          // What an administrator's frame fetches while one is at one's account is the administrator's.
          left.push(...(module?.importedIds ?? []), ...(of === made.account ? [] : (module?.dynamicallyImportedIds ?? [])));
        }
      }
    }
  },
};

/*
 * In few files: each that is asked for costs a slow phone some milliseconds, and a page has some sixty modules that others need as well.
 * What both sides need is apart, so that no page of the school fetches what only an administrator needs.
 */
const SCRIPT = /\.[cm]?[jt]sx?$/;
const ofBoth = (id: string) => made.school.has(id) && made.keep.has(id);
const groups = [
  // Of the two that begin a page, before all else is fetched.
  { name: 'begin', test: /preload-helper|\/lib\/rest\.ts$/, priority: 4 },
  { name: (id: string) => (ofBoth(id) ? 'base' : null), test: SCRIPT, minShareCount: 20, priority: 3 },
  { name: (id: string) => (ofBoth(id) ? 'both' : null), test: SCRIPT, priority: 2 },
  { name: (id: string) => (made.account.has(id) && !made.school.has(id) ? 'account' : null), test: SCRIPT, minShareCount: 2, priority: 1 },
  { name: (id: string) => (made.school.has(id) ? null : 'keep'), test: SCRIPT, minShareCount: 8, priority: 0 },
];

export default defineConfig({
  plugins: [laravel({ input: ['resources/js/keep.ts', 'resources/js/school.ts'], refresh: true }), react(), findsOfSides, compressed],
  // A class keeps its name within that of its stylesheet, for those who look at the page: `_grid_workspace`.
  css: { modules: { generateScopedName: (name, file) => `_${name}_${basename(file).split('.')[0]}` } },
  build: { chunkSizeWarningLimit: 900, rolldownOptions: { output: { codeSplitting: { groups } } } },
});
