import { useForm } from '@inertiajs/react';
import { useState } from 'react';

import { to } from '../lib/route';
import { say, saying } from '../lib/say';
import { Button, TextInput } from '../ui/Plain';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

/** A link that a calendar program can follow without signing in. */
export function Subscribe({ calendar, titled = true }: { calendar: string | null; titled?: boolean }) {
  const form = useForm({});
  const [days, setDays] = useState(false);
  const link = calendar === null || !days ? calendar : `${calendar}?days=1`;
  const change = () => form.post(to('calendar.change'), { preserveScroll: true });
  return (
    <section className={css.subscribe} aria-label={say('board.calendar')}>
      {titled && <h2>{say('board.calendar')}</h2>}
      {calendar === null ? (
        <>
          <p>{say('board.calendar_why')}</p>
          <Button variant="default" loading={form.processing} onClick={change}>
            {say('board.make_link')}
          </Button>
        </>
      ) : (
        <>
          <p>{say('board.give_link')}</p>
          <TextInput
            label={say('board.link')}
            readOnly
            value={link ?? ''}
            onFocus={(event) => event.currentTarget.select()}
          />
          <label>
            <input type="checkbox" checked={days} onChange={(event) => setDays(event.currentTarget.checked)} /> {say('board.whole_days')}
          </label>
          <Copy key={link} text={link ?? ''} />
          <p>
            {saying('board.change', {
              change: (
                <button key="change" type="button" className={ui.linklike} disabled={form.processing} onClick={change}>
                  {say('board.change_link')}
                </button>
              ),
            })}
          </p>
        </>
      )}
    </section>
  );
}

/** Only where the browser lets pages copy; what is in the field can be copied by hand. */
function Copy({ text }: { text: string }) {
  const [copied, setCopied] = useState(false);
  return !window.isSecureContext ? null : (
    <button
      type="button"
      className={ui.linklike}
      onClick={() => {
        void navigator.clipboard.writeText(text).then(() => setCopied(true));
      }}
    >
      {say(copied ? 'board.copied' : 'board.copy')}
    </button>
  );
}
