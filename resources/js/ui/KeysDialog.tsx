import { Modal } from '@mantine/core';

import { say } from '../lib/keepSay';
import { FocusBack } from './FocusBack';
import ui from './ui.module.css';

type Keys = [keys: string[], what: string][];

const SHIFT = say('keep.keys.shift');
const ARROWS = ['↑', '↓', '←', '→'];

const EVERYWHERE: { title: string; keys: Keys } = {
  title: say('keys.everywhere.title'),
  keys: [
    [[say('keep.keys.ctrl_k')], say('keys.everywhere.somebody')],
    [['?'], say('keys.everywhere.this_list')],
    [[say('keep.keys.tab'), say('keep.keys.enter')], say('keys.everywhere.to_the_page')],
    [['/'], say('keys.everywhere.find')],
    [[say('keep.keys.esc')], say('keys.everywhere.leave')],
  ],
};

const COURSE: { title: string; keys: Keys }[] = [
  {
    title: say('keys.course.title'),
    keys: [
      [['1', '2', '3', '4'], say('keys.course.lenses')],
      [['Alt 1', 'Alt 2', 'Alt 3', 'Alt 4'], say('keys.course.lenses_in_cells')],
      [ARROWS, say('keys.course.move')],
      [[say('keep.keys.ctrl_up'), say('keep.keys.ctrl_down')], say('keys.course.far')],
      [[say('keep.keys.enter')], say('keys.course.sheet')],
      [[say('keep.keys.ctrl_z')], say('keys.course.undo')],
      [[say('keep.keys.ctrl_y')], say('keys.course.redo')],
    ],
  },
  {
    title: say('keys.cells.title'),
    keys: [
      [['a…z', '0…9'], say('keys.cells.type')],
      [['F2'], say('keys.cells.edit')],
      [['F1'], say('keys.cells.explain')],
      [[say('keep.keys.enter')], say('keys.cells.down')],
      [[say('keep.keys.tab')], say('keys.cells.right')],
      [[say('keep.keys.f4')], say('keys.cells.form')],
      [[`${SHIFT} ↑`, `${SHIFT} ↓`, `${SHIFT} →`], say('keys.cells.several')],
      [[say('keep.keys.ctrl_c'), say('keep.keys.ctrl_v')], say('keys.cells.copy')],
      [[say('keep.keys.ctrl_d')], say('keys.cells.fill')],
      [[say('keep.keys.del')], say('keys.cells.empty')],
    ],
  },
  {
    title: say('keys.rows.title'),
    keys: [
      [['F2', 'a…z'], say('keys.rows.rename')],
      [[say('keep.keys.ctrl_enter')], say('keys.rows.add')],
      [[say('keep.keys.alt_right'), say('keep.keys.alt_left')], say('keys.rows.level')],
      [[say('keep.keys.ctrl_v')], say('keys.rows.paste')],
      [[say('keep.keys.alt_up'), say('keep.keys.alt_down'), say('keep.keys.alt_right'), say('keep.keys.alt_left')], say('keys.rows.move')],
      [['+', '−'], say('keys.rows.fold')],
      [[say('keep.keys.ctrl_shift_d')], say('keys.rows.double')],
      [[say('keep.keys.del')], say('keys.rows.take_out')],
    ],
  },
  {
    title: say('keys.time.title'),
    keys: [
      [['[', ']'], say('keys.time.steps')],
      [['0'], say('keys.time.now')],
      [['w'], say('keys.time.why')],
      [['v'], say('keys.time.who')],
      [[say('keep.keys.enter')], say('keys.time.drag')],
    ],
  },
];

export interface KeysDialogProps {
  /** Whether it is the screen of a course, which has most of them. */
  course: boolean;
  onClose: () => void;
}

/** What every key does on this page. */
export function KeysDialog({ course, onClose }: KeysDialogProps) {
  return (
    <Modal opened onClose={onClose} title={say('keys.title')} size={course ? 920 : 460}>
      <FocusBack />
      <div className={ui.keylists}>
        {(course ? [...COURSE, EVERYWHERE] : [EVERYWHERE]).map(({ title, keys }) => (
          <section key={title}>
            <h3>{title}</h3>
            <dl>
              {keys.map(([names, what]) => (
                <div key={what}>
                  <dt>
                    {names.map((name) => (
                      <kbd key={name}>{name}</kbd>
                    ))}
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Modal>
  );
}
