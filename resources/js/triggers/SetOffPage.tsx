import { Button } from '@mantine/core';
import type { ReactNode } from 'react';

import { say } from '../lib/keepSay';
import { KeepShell, PageHead } from '../ui/KeepShell';
import { SetOffTabs, type SetOffPlace } from './SetOffTabs';
import css from './triggers.module.css';
import ui from '../ui/ui.module.css';

interface Props {
  here: SetOffPlace;
  title: string;
  told: string;
  /** What a new one is called, and what begins it. */
  fresh: string;
  onNew: () => void;
  mayEdit: boolean;
  /** Where nothing is listed: that, and what to do. */
  none: [string, string] | null;
  list: ReactNode;
  /** The one that is worked on, beside the list. */
  aside: { name: string; children: ReactNode } | null;
}

/** What all pages of what is set off have in common: a head with tabs, a list, and the one that is worked on beside it. */
export function SetOffPage({ here, title, told, fresh, onNew, mayEdit, none, list, aside }: Props) {
  return (
    <KeepShell title={title}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{title}</h1>
          </div>
          <p className={ui.doors}>{told}</p>
        </div>
        <SetOffTabs here={here} runs={mayEdit} />
        {mayEdit && (
          <Button className={css.new} onClick={onNew}>
            {fresh}
          </Button>
        )}
      </PageHead>
      <main className={css.triggers}>
        <section aria-label={say('setoff.list', { here })}>
          {none !== null && (
            <div className={ui.empty}>
              <p>
                <b>{none[0]}</b> {none[1]}
              </p>
            </div>
          )}
          <ul className={css.list}>{list}</ul>
        </section>
        {aside !== null && <aside aria-label={aside.name}>{aside.children}</aside>}
      </main>
    </KeepShell>
  );
}
