import { router, usePage } from '@inertiajs/react';
import { createSpotlight, Spotlight } from '@mantine/spotlight';
import { useEffect, useRef, useState } from 'react';

import { withQuery } from '../lib/address';
import type { FoundThing } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { useShared } from '../lib/page';
import { recent, remember } from '../lib/recent';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { Answered } from '../people/Answered';
import { FocusBack } from '../ui/FocusBack';
import ui from '../ui/ui.module.css';

const [store, actions] = createSpotlight();

/** Key of the course whose screen this is. */
function courseAt(url: string): string | null {
  return /^\/keep\/courses\/([^/?#]+)/.exec(url)?.[1] ?? null;
}

/** The first of what is found is what Enter takes; of what is not the answer yet, nothing is. */
function mark(settled: boolean) {
  const shown = [...document.querySelectorAll('[data-action]')];
  for (const one of shown) {
    one.removeAttribute('data-selected');
  }
  if (settled) {
    shown[0]?.setAttribute('data-selected', 'true');
    store.updateState((state) => ({ ...state, selected: 0 }));
  }
}

/** Everything that there is and that can be done, from anywhere, by whatever word one has for it; and the question why somebody cannot see something. */
export function FindOrDo({ onClose }: { onClose: () => void }) {
  const { url } = usePage();
  const { signedIn } = useShared();
  const [typed, setTyped] = useState('');
  const [asked, setAsked] = useState<FoundThing | null>(null);
  // Whoever presses Enter before the answer is there means the first of it.
  const hurried = useRef(false);
  useEffect(() => actions.open(), []);
  const wanted = typed.trim();
  const { answer, last, state } = useAsked<FoundThing[]>(wanted === '' ? null : withQuery(to('keep.find'), { q: wanted, at: courseAt(url) }), undefined, 120);
  const found = wanted === '' ? recent() : (answer ?? last ?? []);
  const choose = (thing: FoundThing) => {
    if (thing.kind === 'why') {
      setAsked(thing);
      return;
    }
    remember(thing);
    actions.close();
    // A file is no page.
    if (thing.href.endsWith('.json')) {
      window.location.assign(thing.href);
    } else {
      router.visit(thing.href);
    }
  };
  const settled = wanted === '' || answer !== null;
  const first = settled ? (found[0]?.id ?? null) : null;
  useEffect(() => {
    mark(first !== null);
    if (hurried.current && first !== null) {
      hurried.current = false;
      document.querySelector<HTMLElement>('[data-action][data-selected]')?.click();
    }
  }, [first]);
  return (
    <Spotlight.Root store={store} query={typed} onQueryChange={(query) => [setTyped(query), setAsked(null)]} onSpotlightClose={onClose} shortcut={null} closeOnActionTrigger={false} scrollable maxHeight={520} size={640} overlayProps={{ backgroundOpacity: 0.3, blur: 0 }}>
      <FocusBack />
      <Spotlight.Search placeholder={say('keep.find.placeholder')} aria-label={say('keep.find.title')} onKeyDown={({ key }) => (hurried.current = key === 'Enter' && !settled)} />
      <p className={ui.vh} role="status">
        {state === 'ready' && wanted !== '' ? say('keep.find.found', { count: found.length }) : ''}
      </p>
      {asked !== null && asked.course !== null && asked.item !== null && asked.person !== null ? (
        <div className={ui.answered}>
          <Answered title={asked.title} course={asked.course} item={asked.item} person={asked.person} mayRun={signedIn?.runs === true} onLeave={() => actions.close()} />
        </div>
      ) : (
        <Spotlight.ActionsList>
          {wanted === '' && found.length > 0 && <p className={ui.finding}>{say('keep.find.recent')}</p>}
          {found.map((thing) => (
            <Spotlight.Action key={thing.id} label={thing.title} description={thing.note} onClick={({ detail }) => (detail === 0 && !settled ? (hurried.current = true) : choose(thing))} />
          ))}
          {found.length === 0 && <Spotlight.Empty>{wanted === '' ? say('keep.find.try') : state === 'failed' ? say('keep.find.failed') : state === 'ready' ? say('keep.find.nothing') : ''}</Spotlight.Empty>}
        </Spotlight.ActionsList>
      )}
    </Spotlight.Root>
  );
}
