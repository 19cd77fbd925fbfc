import '@fontsource-variable/source-sans-3/wght.css';
import '@fontsource-variable/source-sans-3/wght-italic.css';
import '@fontsource-variable/source-serif-4/wght.css';
import '@mantine/core/styles.css';
// One stylesheet a subject, in the order in which they build on each other.
import './ui/tokens.css';
import './ui/frame.css';
import './workspace/grid.css';
import './ui/doors.css';
import './learn/learn.css';
import './publishing/publishing.css';
import './workspace/sheet/sheet.css';
import './workspace/lenses/sightlines.css';
import './workspace/sheet/why.css';
import './workspace/lenses/timeline.css';
import './workspace/stand-in.css';
import './people/people.css';
import './offers/offers.css';
import './learn/ways-in.css';
import './notices/notices.css';

import { createInertiaApp, type ResolvedComponent } from '@inertiajs/react';
import { MantineProvider } from '@mantine/core';
import { createRoot } from 'react-dom/client';

import { theme } from './ui/theme';

const pages = import.meta.glob<{ default: ResolvedComponent }>('./pages/**/*.tsx');

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
    createRoot(el).render(
      <MantineProvider theme={theme} defaultColorScheme="auto">
        <App {...props} />
      </MantineProvider>,
    );
  },
});
