import { router } from '@inertiajs/react';
import { useState } from 'react';

import type { LetterChoiceRow } from '../lib/generated/types';
import { Tick } from './Plain';
import ui from './ui.module.css';

/** Which letters somebody wants: each is kept as soon as it is ticked. */
export function LetterChoices({ letters, address }: { letters: LetterChoiceRow[]; address: string }) {
  const [busy, setBusy] = useState<string | null>(null);
  return (
    <ul className={ui.choices}>
      {letters.map(({ kind, title, told, wanted }) => (
        <li key={kind}>
          <Tick
            label={title}
            description={told}
            checked={wanted}
            disabled={busy !== null && busy !== kind}
            onChange={(event) => {
              if (busy === null) {
                router.put(address, { kind, wanted: event.currentTarget.checked }, { preserveScroll: true, onStart: () => setBusy(kind), onFinish: () => setBusy(null) });
              }
            }}
          />
        </li>
      ))}
    </ul>
  );
}
