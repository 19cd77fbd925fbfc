import { clsx } from 'clsx';

import { Prose } from '../learn/Prose';
import { withQuery } from '../lib/address';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

/** The text as it is read, while one types. */
export function Preview({ text, of }: { text: string; of?: { course: string; item: string } | undefined }) {
  const html = useAsked<{ html: string }>(to('keep.contents.preview'), { text }, 250).last?.html ?? '';
  return (
    <section className={ui['notice-preview']} aria-label={say('contents.contents.preview')}>
      <p className={clsx(ui.soft, css.asread)}>
        {say('contents.contents.as_it_is_read')}
        {of !== undefined && <a href={withQuery(to('keep.stand-in', { course: of.course }), { item: of.item })}>{say('contents.contents.stand_in')}</a>}
      </p>
      <div className={ui.learn}>{html === '' ? <p className={ui.soft}>{say('contents.contents.nothing_has_been_written')}</p> : <Prose html={html} />}</div>
    </section>
  );
}
