import { createInertiaApp, type ResolvedComponent } from '@inertiajs/react';
import { MantineProvider } from '@mantine/core';
import { startTransition } from 'react';
import { createRoot } from 'react-dom/client';

import { theme } from './ui/theme';
import ui from './ui/ui.module.css';

const pages = import.meta.glob<{ default: ResolvedComponent }>(['./pages/keep/*.tsx', './pages/Interface.tsx', './pages/Begin.tsx', './pages/Error.tsx']);

void createInertiaApp({
  title: (title) => (title === '' ? 'Silent Keep' : `${title} · Silent Keep`),
  progress: { color: '#2B4C7E', delay: 200 },
  resolve: async (name) => {
    const load = pages[`./pages/${name}.tsx`];
    if (load === undefined) {
      throw new Error(`There is no page ${name}; add resources/js/pages/${name}.tsx.`);
    }
    return (await load()).default;
  },
  setup({ el, App, props }) {
    if (el === null) {
      throw new Error('The page has no element to mount on; see resources/views/app.blade.php.');
    }
    el.classList.add(ui.app ?? '');
    // In slices: the frame that stands there takes presses meanwhile.
    startTransition(() =>
      createRoot(el).render(
        <MantineProvider theme={theme} defaultColorScheme="auto">
          <App {...props} />
        </MantineProvider>,
      ),
    );
  },
});
