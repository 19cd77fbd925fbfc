import { Link } from '@inertiajs/react';
import { Popover } from '@mantine/core';

import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { ruleHelp } from '../RuleHelp';
import type { CellName } from '../entry/ruleSets';
import css from './headHelp.module.css';

/** What is told of a column of rules, of the row at hand. */
export function columnHelp(column: CellName, row: string): string[] {
  return column === 'forWhom' ? [ruleHelp('tiers', row), ruleHelp('only', row)] : [ruleHelp(column, row)];
}

export interface HeadHelpProps {
  title: string;
  /** A paragraph each. */
  told: string[];
  opened: boolean;
  onOpened: (opened: boolean) => void;
}

/**
 * The head of a column that explains itself: by a click on it, or by F1 in its cells. So it is no stop for Tab, of which there would
 * be as many as columns before the first cell.
 */
export function HeadHelp({ title, told, opened, onOpened }: HeadHelpProps) {
  return (
    <Popover opened={opened} onChange={onOpened} position="bottom-start" width={320} withArrow trapFocus returnFocus>
      <Popover.Target>
        <button type="button" tabIndex={-1} className={css.head} title={told.join(' ')} onClick={() => onOpened(!opened)}>
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
          <Link href={`${to('keep.guide')}#2-rules`}>{say('lenses.help.guide')}</Link>
        </p>
      </Popover.Dropdown>
    </Popover>
  );
}

/** What is told in the menu of a column, above what can be done with it. */
export function InMenu({ children }: { children: string }) {
  return <p className={css.inmenu}>{children}</p>;
}
