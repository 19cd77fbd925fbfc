import { createInertiaApp, type ResolvedComponent } from '@inertiajs/react';
import { createRoot } from 'react-dom/client';

import { keepFocus } from './lib/rest';
import { speak } from './lib/say';
import ui from './ui/ui.module.css';

/* The pages of the school's side, come to life: begun by school.ts. */
const pages = import.meta.glob<{ default: ResolvedComponent }>(['./pages/learner/*.tsx', './pages/Account.tsx', './pages/SignIn.tsx', './pages/SignInLink.tsx', './pages/Error.tsx']);

if (document.documentElement.lang === 'nb') {
  speak((await import('./lib/generated/wordsNb')).wordsNb, 'nb');
}

void createInertiaApp({
  progress: { color: '#2B4C7E', delay: 200 },
  resolve: async (name) => {
    const load = pages[`./pages/${name}.tsx`];
    if (load === undefined) {
      throw new Error(`There is no page ${name} on this side; see app/Http/Side.php.`);
    }
    return (await load()).default;
  },
  setup({ el, App, props }) {
    if (el === null) {
      throw new Error('The page has no element to mount on; see resources/views/app.blade.php.');
    }
    el.classList.add(ui.app ?? '');
    keepFocus(el, () => createRoot(el).render(<App {...props} />));
  },
});
