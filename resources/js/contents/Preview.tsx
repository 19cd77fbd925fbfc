import { Prose } from '../learn/Prose';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import ui from '../ui/ui.module.css';

/** The text as it is read, while one types. */
export function Preview({ text }: { text: string }) {
  const html = useAsked<{ html: string }>(to('keep.contents.preview'), { text }, 250).last?.html ?? '';
  return (
    <section className={ui['notice-preview']} aria-label={say('contents.contents.preview')}>
      <p className={ui.soft}>{say('contents.contents.as_it_is_read')}</p>
      <div className={ui.learn}>{html === '' ? <p className={ui.soft}>{say('contents.contents.nothing_has_been_written')}</p> : <Prose html={html} />}</div>
    </section>
  );
}
