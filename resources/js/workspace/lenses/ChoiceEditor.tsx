import { router } from '@inertiajs/react';
import { Menu } from '@mantine/core';
import type { ReactNode } from 'react';
import { say } from '../../lib/keepSay';

import { to } from '../../lib/route';
import { FocusBack, useOpener } from '../../ui/FocusBack';
import { ruleHelp } from '../RuleHelp';
import ui from '../../ui/ui.module.css';

/** What can be chosen in each column, in the words of its cells. */
export const CHOICES = {
  optional: { set: 'optional', values: ['yes', 'no'] },
  sample: { set: 'sample', values: ['yes', 'no'] },
  guests: { set: 'guests', values: ['yes', 'no', say('lenses.choice_editor.as_above'), 'never'] },
  observers: { set: 'observers', values: ['yes', 'no', say('lenses.choice_editor.as_above'), 'never'] },
  whenClosed: { set: 'when_closed', values: ['shows', 'hidden'] },
  inOrder: { set: 'in_order', values: ['yes', 'no'] },
} as const;

export type ChoiceColumn = keyof typeof CHOICES;

export function isChoice(column: string): column is ChoiceColumn {
  return column in CHOICES;
}

export interface ChoiceEditorProps {
  course: string;
  version: number;
  column: ChoiceColumn;
  items: string[];
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Sets one of a few words for rows, in the cell. */
export function ChoiceEditor({ course, version, column, items, title, onClose, children }: ChoiceEditorProps) {
  const opener = useOpener();
  const { set, values } = CHOICES[column];
  const choose = (value: string) => {
    router.post(
      to('keep.draft.edit', { course }),
      { version, set, items, value },
      { preserveScroll: true, preserveState: true, onFinish: onClose },
    );
  };
  return (
    // The key that opens it is still on its way to the document: a keydown elsewhere must not close it.
    <Menu
      opened
      onClose={onClose}
      clickOutsideEvents={['mousedown', 'touchstart']}
      position="bottom-start"
      width={240}
      returnFocus
      withArrow
    >
      <Menu.Target>{children}</Menu.Target>
      <Menu.Dropdown>
        <FocusBack to={opener} />
        <Menu.Label>{title}</Menu.Label>
        <Menu.Label fw={400}>{ruleHelp(column, title)}</Menu.Label>
        {values.map((value) => (
          <Menu.Item key={value} onClick={() => choose(value)}>
            {value}
            {value === 'never' && <span className={ui.soft}>{say('lenses.choice_editor.whatever_inside')}</span>}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
