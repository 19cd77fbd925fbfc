import { router } from '@inertiajs/react';
import { useState } from 'react';
import { clsx } from 'clsx';

import { useShared } from '../lib/page';
import { plainText } from '../lib/words';
import { Words } from './Words';
import { to } from '../lib/route';
import { say } from '../lib/say';
import ui from './ui.module.css';

/** What the last action did, said aloud and kept on the page until it is closed. */
export function FlashNote() {
  const { flash } = useShared();
  const [closed, setClosed] = useState<typeof flash>(null);
  // A question is asked by the page it belongs to.
  const shown = flash !== null && flash !== closed && flash.kind !== 'asks' && flash.kind !== 'collision' ? flash : null;
  const undo = shown?.undo ?? null;
  return (
    <div role="status" aria-live="polite">
      {shown !== null && (
        <div className={clsx(ui.flash, ui[`flash-${shown.kind}`])}>
          <p>
            <b>{shown.text}</b>
          </p>
          {shown.lines.length > 0 && (
            <ul>
              {shown.lines.map((line) => (
                <li key={plainText(line)}>
                  <Words segments={line.segments} />
                </li>
              ))}
            </ul>
          )}
          {undo !== null && (
            <button type="button" onClick={() => router.post(to('keep.people.undo', { act: undo }), {}, { preserveScroll: true, preserveState: true })}>
              {say('take_it_back')}
            </button>
          )}
          {shown.again !== null && (
            <button type="button" onClick={() => shown.again !== null && router.post(shown.again, {}, { preserveScroll: true })}>
              {say('take_it_back')}
            </button>
          )}
          <button type="button" onClick={() => setClosed(flash)}>
            {say('close')}
          </button>
        </div>
      )}
    </div>
  );
}
