import { Link, router } from '@inertiajs/react';
import { Button, Modal } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { RunRow, TriggerForm, TriggerRow, TriggersPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { plainText } from '../../lib/words';
import { SetOffPage } from '../../triggers/SetOffPage';
import { TriggerEditor } from '../../triggers/TriggerEditor';
import { Words } from '../../ui/Words';
import css from '../../triggers/triggers.module.css';
import ui from '../../ui/ui.module.css';

/** What is done by itself when something comes about. */
export default function Triggers(page: TriggersPage) {
  const { triggers, open, mayEdit } = page;
  const [making, setMaking] = useState(false);
  const begun = {
    name: say('setoff.new_name'),
    children: (
      <>
        <h2>{say('setoff.new_name')}</h2>
        <TriggerEditor key="new" page={page} trigger={null} onLeave={() => setMaking(false)} />
      </>
    ),
  };
  const kept = open === null ? null : { name: open.name, children: <One key={`${open.id} ${open.version}`} page={page} open={open} /> };
  const shown = making ? begun : kept;
  return (
    <SetOffPage
      here="triggers"
      title={say('setoff.title')}
      told={say('setoff.told')}
      fresh={say('setoff.new')}
      onNew={() => setMaking(true)}
      mayEdit={mayEdit}
      none={triggers.length === 0 ? [say('setoff.none'), say('setoff.none_told')] : null}
      list={triggers.map((trigger) => (
        <Line key={trigger.id} trigger={trigger} here={!making && trigger.id === open?.id} />
      ))}
      aside={shown}
    />
  );
}

function Line({ trigger: { id, name, on, sentence, days, waiting, failed }, here }: { trigger: TriggerRow; here: boolean }) {
  const count = days.reduce((sum, one) => sum + one, 0);
  const most = Math.max(1, ...days);
  return (
    <li className={clsx(here && css.here, !on && css.off)}>
      <Link href={withQuery(to('keep.triggers'), { open: id })} aria-current={here ? 'page' : undefined} aria-label={`${plainText(sentence)} ${name}`} preserveScroll>
        <Words segments={sentence.segments} />
      </Link>
      <p>
        {name}
        {!on && <b> · {say('setoff.is_off')}</b>}
        {waiting > 0 && <b> · {say('setoff.waiting', { count: waiting })}</b>}
        {failed > 0 && <b className={ui.takes}> · {say('setoff.failed', { count: failed })}</b>}
      </p>
      <div className={css.count}>
        <b>{say('setoff.runs', { count })}</b>
        {count > 0 && (
          <span className={css.bars} role="img" aria-label={say('setoff.days', { days: days.join(', ') })}>
            {days.map((times, index) => (
              // Days have no name but their place.
              // oxlint-disable-next-line react/no-array-index-key
              <i key={index} style={{ height: `${Math.round((100 * times) / most)}%` }} />
            ))}
          </span>
        )}
      </div>
    </li>
  );
}

/** A trigger that is worked on: whether it is on, its words, its runs. */
function One({ page, open }: { page: TriggersPage; open: TriggerForm }) {
  const { id, version, name, on, since, runs } = open;
  const [asks, setAsks] = useState(false);
  return (
    <>
      <h2>{name}</h2>
      <p className={css.standing}>
        {on ? say('setoff.on_since', { when: since ?? '' }) : say('setoff.off')}
        {page.mayEdit && (
          <Button size="xs" variant={on ? 'default' : 'filled'} onClick={() => router.put(to('keep.triggers.switch', { trigger: id }), { on: !on, version }, { preserveScroll: true })}>
            {say(on ? 'setoff.switch_off' : 'setoff.switch_on')}
          </Button>
        )}
      </p>
      <TriggerEditor page={page} trigger={open} onLetGo={() => setAsks(true)} />
      <section>
        <h3>{say('setoff.past')}</h3>
        {runs.length === 0 && <p className={ui.soft}>{say('setoff.no_runs')}</p>}
        <ul className={css.runs}>
          {runs.map((run) => (
            <Run key={run.id} run={run} mayEdit={page.mayEdit} />
          ))}
        </ul>
      </section>
      <Modal opened={asks} onClose={() => setAsks(false)} title={say('setoff.let_go')}>
        <p>{say('setoff.let_go_told')}</p>
        <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
          <Button variant="default" onClick={() => setAsks(false)} data-autofocus>
            {say('setoff.leave')}
          </Button>
          <Button onClick={() => router.delete(to('keep.triggers.let-go', { trigger: id }), { onFinish: () => setAsks(false) })}>{say('setoff.let_go')}</Button>
        </div>
      </Modal>
    </>
  );
}

function Run({ run: { id, person, name, when, cause, state, did, problem, next, canBeTakenBack }, mayEdit }: { run: RunRow; mayEdit: boolean }) {
  const wrong = state === 'failed' || state === 'stopped';
  return (
    <li>
      <span className={css.cause}>{say('setoff.cause', { when, cause })}</span>
      <b>
        <Link href={to('keep.person', { person })}>{name}</Link>
      </b>
      <span className={wrong ? ui.takes : undefined}>
        {say('setoff.states', { state: state.replace(' ', '_') })}
        {did.length > 0 && `: ${did.join('; ')}`}
        {problem !== null && ` · ${problem}`}
        {next !== null && ` · ${say('setoff.next', { when: next })}`}
      </span>
      {mayEdit && wrong && (
        <button type="button" className={ui.linklike} onClick={() => router.post(to('keep.triggers.again', { run: id }), {}, { preserveScroll: true })}>
          {say('setoff.again')}
        </button>
      )}
      {mayEdit && canBeTakenBack && (
        <button type="button" className={ui.linklike} onClick={() => router.delete(to('keep.triggers.take-back', { run: id }), { preserveScroll: true })}>
          {say('setoff.take_back')}
          <span className={ui.vh}>: {name}</span>
        </button>
      )}
    </li>
  );
}
