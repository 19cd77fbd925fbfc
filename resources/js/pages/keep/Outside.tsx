import { Link, router, useForm } from '@inertiajs/react';
import { Button, Checkbox, Modal, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { OutsideEventRow, OutsidePage, OutsideRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { SetOffPage } from '../../triggers/SetOffPage';
import css from '../../triggers/triggers.module.css';
import { ShownOnce } from '../../ui/ShownOnce';
import ui from '../../ui/ui.module.css';

/** Systems of others that triggers tell, and what they answered. */
export default function Outside({ systems, open, events, secret }: OutsidePage) {
  const [making, setMaking] = useState(false);
  const shown = systems.find(({ id }) => id === open);
  const called = making ? say('setoff.outside.new') : (shown?.name ?? '');
  return (
    <SetOffPage
      here="outside"
      title={say('setoff.outside.title')}
      told={say('setoff.outside.told')}
      fresh={say('setoff.outside.new')}
      onNew={() => setMaking(true)}
      mayEdit
      none={systems.length === 0 ? [say('setoff.outside.none'), say('setoff.outside.none_told')] : null}
      list={systems.map(({ id, name, address, on, waiting, failed }) => (
        <li key={id} className={clsx(!making && id === open && css.here, !on && css.off)}>
          <Link href={withQuery(to('keep.outside'), { open: id })} aria-current={!making && id === open ? 'page' : undefined} preserveScroll>
            {name}
          </Link>
          <p className={css.address}>{address}</p>
          <div className={css.count}>
            {!on && <b>{say('setoff.outside.is_off')}</b>}
            {waiting > 0 && <div>{say('setoff.waiting', { count: waiting })}</div>}
            {failed > 0 && <div className={ui.takes}>{say('setoff.failed', { count: failed })}</div>}
          </div>
        </li>
      ))}
      aside={
        making || shown !== undefined
          ? {
              name: called,
              children: (
                <>
                  <h2>{called}</h2>
                  {!making && secret !== null && <ShownOnce label={say('setoff.outside.secret')} told={say('setoff.outside.secret_told')} value={secret} />}
                  {making ? <Editor key="new" system={null} onMade={() => setMaking(false)} /> : shown !== undefined && <Editor key={`${shown.id} ${shown.version}`} system={shown} />}
                  {!making && <Events events={events} />}
                </>
              ),
            }
          : null
      }
    />
  );
}

/** Where it is told, and whether. */
function Editor({ system, onMade }: { system: OutsideRow | null; onMade?: () => void }) {
  const [asks, setAsks] = useState(false);
  const form = useForm({ version: system?.version ?? 0, name: system?.name ?? '', address: system?.address ?? '', on: system?.on ?? true });
  const { data, errors, setData } = form;
  return (
    <form
      className={css.editor}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (system === null) {
          form.post(to('keep.outside.make'), { onSuccess: () => onMade?.() });
        } else {
          form.put(to('keep.outside.change', { system: system.id }), { preserveScroll: true });
        }
      }}
    >
      <TextInput label={say('setoff.outside.name')} maxLength={100} data-autofocus={system === null || undefined} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
      <TextInput label={say('setoff.outside.address')} description={say('setoff.outside.address_told')} type="url" maxLength={2000} value={data.address} error={errors.address} onChange={(event) => setData('address', event.currentTarget.value)} />
      <Checkbox label={say('setoff.outside.on')} checked={data.on} onChange={(event) => setData('on', event.currentTarget.checked)} />
      <div className={ui['review-acts']}>
        {system !== null && (
          <Button type="button" variant="default" onClick={() => setAsks(true)}>
            {say('setoff.outside.new_secret')}
          </Button>
        )}
        <Button type="submit" loading={form.processing} disabled={system !== null && !form.isDirty}>
          {say(system === null ? 'setoff.outside.make' : 'setoff.save')}
        </Button>
      </div>
      {system !== null && (
        <Modal opened={asks} onClose={() => setAsks(false)} title={say('setoff.outside.do_new_secret')}>
          <p>{say('setoff.outside.new_secret_told')}</p>
          <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
            <Button variant="default" onClick={() => setAsks(false)} data-autofocus>
              {say('setoff.leave')}
            </Button>
            <Button onClick={() => router.post(to('keep.outside.secret', { system: system.id }), {}, { onFinish: () => setAsks(false) })}>{say('setoff.outside.do_new_secret')}</Button>
          </div>
        </Modal>
      )}
    </form>
  );
}

function Events({ events }: { events: OutsideEventRow[] }) {
  return (
    <section>
      <h3>{say('setoff.outside.events')}</h3>
      {events.length === 0 && <p className={ui.soft}>{say('setoff.outside.no_events')}</p>}
      <ul className={css.runs}>
        {events.map(({ id, when, state, tries, next, body, signature, answered }) => (
          <li key={id}>
            <span className={css.cause}>
              {when} · {say('setoff.outside.tries', { count: tries })}
            </span>
            <span className={state === 'failed' ? ui.takes : undefined}>
              {say('setoff.outside.states', { state })}
              {next !== null && ` · ${say('setoff.outside.next', { when: next })}`}
            </span>
            {answered !== null && <span>{answered}</span>}
            <details>
              <summary>{say('setoff.outside.event')}</summary>
              <pre className={css.event}>{[...signature, '', JSON.stringify(JSON.parse(body), null, 2)].join('\n')}</pre>
            </details>
            {state !== 'waiting' && (
              <button type="button" className={ui.linklike} onClick={() => router.post(to('keep.outside.again', { event: id }), {}, { preserveScroll: true })}>
                {say('setoff.outside.again')}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
