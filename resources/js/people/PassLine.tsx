import { Link } from '@inertiajs/react';
import { Menu } from '@mantine/core';
import { clsx } from 'clsx';

import type { HeldPass } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { to } from '../lib/route';
import type { Act } from './acts';
import { at } from './byAct';
import css from './people.module.css';
import ui from '../ui/ui.module.css';

interface PassLineProps {
  pass: HeldPass;
  person: number;
  mayRun: boolean;
  /** Whether anything may be done for them at all. */
  helps: boolean;
  onAsk: (title: string, act: Act) => void;
}

/** A pass that somebody holds or held, and what can be done with it. */
export function PassLine({ pass, person, mayRun, helps, onAsk }: PassLineProps) {
  const ended = pass.standing === 'ended';
  return (
    <li className={css[`pass-${pass.standing}`]}>
      <b>{pass.offerName}</b>
      <span>
        <Link href={to('keep.course', { course: pass.course })}>{pass.courseTitle}</Link> · {pass.from} {pass.until === null ? say('person.person.for_good') : say('person.person.to_until', { until: pass.until })}
        <br />
        {pass.standing === 'ended' && pass.left !== null ? pass.left : pass.standing}
        {pass.standing !== 'ended' && pass.left !== null && `, ${pass.left}`} · {pass.source}
        {pass.paced !== null && ` · ${say('person.person.counts_from', { date: pass.paced })}`}
        {pass.erased !== null && (
          <>
            <br />
            {pass.erased}
          </>
        )}
      </span>
      {helps && <Menu width={240} position="bottom-end" withArrow>
        <Menu.Target>
          <button type="button" className={clsx(ui.linklike, css.linklike)}>
            {saying('person.person.do', { what: <span className={ui.vh}>{say('person.person.something_with_offer_name', { offer_name: pass.offerName, from: pass.from })}</span> })}
          </button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item disabled={pass.until === null || pass.standing === 'withdrawn'} onClick={() => onAsk(say('person.asks.extend'), { do: 'extend', pass: pass.id })}>
            {say('person.person.extend')}
          </Menu.Item>
          {mayRun && (
            <>
              {pass.standing === 'paused' ? (
                <Menu.Item onClick={() => onAsk(say('person.asks.resume'), { do: 'resume', pass: pass.id })}>{say('person.person.take_it_up_again')}</Menu.Item>
              ) : (
                <Menu.Item disabled={ended || pass.standing === 'withdrawn'} onClick={() => onAsk(say('person.asks.pause'), { do: 'pause', pass: pass.id })}>
                  {say('person.person.pause')}
                </Menu.Item>
              )}
              <Menu.Item onClick={() => onAsk(say('person.asks.change'), { do: 'change', pass: pass.id })}>{say('person.person.change_tier_or_offer')}</Menu.Item>
              <Menu.Item disabled={ended} onClick={() => onAsk(say('person.asks.end'), { do: 'end', pass: pass.id })}>
                {say('person.person.end_now')}
              </Menu.Item>
              {pass.standing === 'withdrawn' ? (
                <Menu.Item onClick={() => at(person, { do: 'give-back', pass: pass.id })}>{say('person.person.give_it_back')}</Menu.Item>
              ) : (
                <Menu.Item color="red" onClick={() => onAsk(say('person.asks.withdraw'), { do: 'withdraw', pass: pass.id })}>
                  {say('person.person.withdraw')}
                </Menu.Item>
              )}
            </>
          )}
        </Menu.Dropdown>
      </Menu>}
    </li>
  );
}
