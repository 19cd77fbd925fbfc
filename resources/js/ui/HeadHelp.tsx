import { Link } from '@inertiajs/react';
import { Popover } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import css from './headHelp.module.css';

export interface HeadHelpProps {
  title: string;
  /** A paragraph each. */
  told: string[];
  /** Of the guide, as its address names it. */
  chapter: string;
  opened: boolean;
  onOpened: (opened: boolean) => void;
  /** Left out of the order of Tab, where a key opens it otherwise. */
  skipped?: boolean;
}

/** The head of a column that explains itself by a click on it. */
export function HeadHelp({ title, told, chapter, opened, onOpened, skipped = false }: HeadHelpProps) {
  return (
    <Popover opened={opened} onChange={onOpened} position="bottom-start" width={320} withArrow trapFocus returnFocus>
      <Popover.Target>
        <button type="button" tabIndex={skipped ? -1 : 0} className={clsx(css.head, !skipped && css.inlist)} title={told.join(' ')} onClick={() => onOpened(!opened)}>
          <b>{title}</b>
        </button>
      </Popover.Target>
      <Popover.Dropdown aria-label={title}>
        {told.map((text) => (
          <p key={text} className={css.told}>
            {text}
          </p>
        ))}
        <p className={css.told}>
          <Link href={`${to('keep.guide')}#${chapter}`}>{say('keep.more_in_the_guide')}</Link>
        </p>
      </Popover.Dropdown>
    </Popover>
  );
}

/** The same in a list, by itself. */
export function ToldHead({ title, told, chapter }: { title: string; told: string; chapter: string }) {
  const [opened, setOpened] = useState(false);
  return <HeadHelp title={title} told={[told]} chapter={chapter} opened={opened} onOpened={setOpened} />;
}

/** What is told in the menu of a column, above what can be done with it. */
export function InMenu({ children }: { children: string }) {
  return <p className={css.inmenu}>{children}</p>;
}
