import { router } from '@inertiajs/react';
import { Select } from '@mantine/core';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { WirePage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { KeepShell } from '../../ui/KeepShell';
import { OutboxTabs } from '../../ui/OutboxTabs';
import { Pager } from '../../ui/Pager';
import css from '../../offers/offers.module.css';
import ui from '../../ui/ui.module.css';

const STATES = ['waiting', 'taken', 'failed'] as const;

/** What went between the school and systems of others, both ways. */
export default function Messages({ rows, systems, way, system, state, total, page, pages }: WirePage) {
  const asked = { ...(way === 'in' ? { way } : {}), ...(system === null ? {} : { system }), ...(state === null ? {} : { state }) };
  const choose = (more: { way?: string | null; system?: string | null; state?: string | null }): void => {
    const chosen = { way, system: system === null ? '' : `${system}`, state: state ?? '', ...more };
    router.get(withQuery(to('keep.messages'), Object.fromEntries(Object.entries(chosen).filter(([name, value]) => value !== null && value !== '' && !(name === 'way' && value === 'out')).map(([name, value]) => [name, value ?? '']))));
  };
  return (
    <KeepShell title={say('outbox.wire')}>
      <main className={clsx(ui.plainpage, css.plainpage)}>
        <h1>{say('outbox.title')}</h1>
        <OutboxTabs here="messages" />
        <div className={css.shopfind}>
          <Select
            label={say('outbox.messages.way')}
            data={(['out', 'in'] as const).map((one) => ({ value: one, label: say('outbox.messages.ways', { way: one }) }))}
            value={way}
            allowDeselect={false}
            onChange={(chosen) => choose({ way: chosen, state: '' })}
          />
          <Select label={say('outbox.messages.system')} data={[{ value: '', label: say('outbox.messages.all') }, ...systems.map(({ id, name }) => ({ value: `${id}`, label: name }))]} value={system === null ? '' : `${system}`} allowDeselect={false} onChange={(chosen) => choose({ system: chosen })} />
          {way === 'out' && (
            <Select
              label={say('outbox.messages.state')}
              data={[{ value: '', label: say('outbox.messages.all') }, ...STATES.map((one) => ({ value: one, label: say('outbox.messages.states', { state: one }) }))]}
              value={state ?? ''}
              allowDeselect={false}
              onChange={(chosen) => choose({ state: chosen })}
            />
          )}
        </div>
        {total === 0 ? (
          <div className={ui.empty}>
            <p>
              {system === null && state === null && way === 'out' ? (
                <>
                  <b>{say('outbox.messages.none')}</b> {say('outbox.messages.none_told')}
                </>
              ) : (
                say('outbox.messages.none_such')
              )}
            </p>
          </div>
        ) : (
          <>
            <p className={ui.soft}>{say('outbox.messages.told', { count: total })}</p>
            <ul className={css.letters}>
              {rows.map((row) => (
                <li key={row.key}>
                  <details>
                    <summary>
                      <b>{row.type}</b>
                      <span>
                        {say('outbox.messages.about', { way, system: row.system, when: row.when })}
                        <b className={row.state === 'failed' ? ui.wrongly : undefined}>{say('outbox.messages.states', { state: row.state })}</b>
                      </span>
                    </summary>
                    {row.answered !== null && <p>{row.answered}</p>}
                    <pre className={css.code}>{[...row.signature, '', JSON.stringify(JSON.parse(row.body), null, 2)].join('\n')}</pre>
                    {row.event !== null && (
                      <button type="button" className={ui.linklike} onClick={() => router.post(to('keep.outside.again', { event: row.event ?? 0 }), {}, { preserveScroll: true })}>
                        {say('outbox.messages.again')}
                      </button>
                    )}
                  </details>
                </li>
              ))}
            </ul>
            <Pager page={page} pages={pages} address={(at) => withQuery(to('keep.messages'), { ...asked, page: at })} />
          </>
        )}
      </main>
    </KeepShell>
  );
}
