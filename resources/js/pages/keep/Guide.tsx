import type { GuidePage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { Prose } from '../../learn/Prose';
import { KeepShell } from '../../ui/KeepShell';
import css from '../../checks/checks.module.css';
import ui from '../../ui/ui.module.css';

/** The guide that ships with the program, in one page. */
export default function Guide({ html, chapters }: GuidePage) {
  return (
    <KeepShell title={say('keep.keep_shell.guide')}>
      <main className={ui.plainpage}>
        <div className={ui.pagehead}>
          <h1>{say('keep.keep_shell.guide')}</h1>
        </div>
        <div className={css.guide}>
          <nav aria-label={say('keep.keep_shell.chapters')}>
            <ol>
              {chapters.map(({ id, title }) => (
                <li key={id}>
                  <a href={`#${id}`}>{title}</a>
                </li>
              ))}
            </ol>
          </nav>
          <div className={css.told}>
            <Prose html={html} />
          </div>
        </div>
      </main>
    </KeepShell>
  );
}
