import { Link, useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { LabelRow, LabelsPage, LabelUseRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { CountedLines, useCounted } from '../../school/CountedLines';
import { SchoolTabs } from '../../school/SchoolTabs';
import css from '../../school/school.module.css';
import { DialogForm } from '../../ui/DialogForm';
import { KeepShell } from '../../ui/KeepShell';
import ui from '../../ui/ui.module.css';

/** All labels of the school: who has each, what gives it, what asks for it; another name for one. */
export default function Labels({ labels, mayRun }: LabelsPage) {
  const [renames, setRenames] = useState<LabelRow | null>(null);
  return (
    <KeepShell title={say('labels.title')}>
      <main className={ui.plainpage}>
        <h1>{say('labels.title')}</h1>
        <SchoolTabs here="labels" />
        <p className={ui.soft}>{say('labels.told')}</p>
        {labels.length === 0 ? (
          <div className={ui.empty}>
            <p>
              <b>{say('labels.none')}</b> {say('labels.none_told')}
            </p>
            <Button component={Link} href={to('keep.people.list')} mt={14}>
              {say('labels.to_people')}
            </Button>
          </div>
        ) : (
          <div className={css.scroll}>
            <table className={clsx(ui.list, css.labels)}>
              <caption className={ui.vh}>{say('labels.told')}</caption>
              <thead>
                <tr>
                  <th scope="col">{say('labels.label')}</th>
                  <th scope="col" className={ui.num}>
                    {say('labels.people')}
                  </th>
                  <th scope="col">{say('labels.given_by')}</th>
                  <th scope="col">{say('labels.asked_by')}</th>
                  {mayRun && (
                    <th scope="col">
                      <span className={ui.vh}>{say('labels.change')}</span>
                    </th>
                  )}
                </tr>
              </thead>
              <tbody>
                {labels.map((row) => (
                  <tr key={row.label}>
                    <th scope="row">{row.label}</th>
                    <td className={ui.num}>{row.people === 0 ? 0 : <Link href={withQuery(to('keep.people.list'), { label: row.label })}>{row.people}</Link>}</td>
                    <td>
                      <Uses of={row.givenBy} />
                    </td>
                    <td>
                      <Uses of={row.askedBy} />
                      {row.more > 0 && (
                        <Link className={ui.soft} href={withQuery(to('keep.labels'), { all: row.label })} preserveScroll>
                          {say('labels.more', { count: row.more })}
                        </Link>
                      )}
                    </td>
                    {mayRun && (
                      <td>
                        <Button variant="default" size="compact-sm" aria-label={say('labels.change_of', { label: row.label })} onClick={() => setRenames(row)}>
                          {say('labels.change')}
                        </Button>
                      </td>
                    )}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        {renames !== null && <RenameDialog row={renames} labels={labels} onLeave={() => setRenames(null)} />}
      </main>
    </KeepShell>
  );
}

function Uses({ of }: { of: LabelUseRow[] }) {
  return of.length === 0 ? (
    <span className={ui.soft}>{say('labels.nothing')}</span>
  ) : (
    <ul>
      {of.map(({ text, href }) => (
        <li key={`${href} ${text}`}>
          <Link href={href}>{text}</Link>
        </li>
      ))}
    </ul>
  );
}

/** Another name; where it is another label's, the two become one, and whom that touches is counted first. */
function RenameDialog({ row, labels, onLeave }: { row: LabelRow; labels: LabelRow[]; onLeave: () => void }) {
  const form = useForm({ from: row.label, to: row.label, together: false });
  const typed = form.data.to.trim();
  const other = typed !== row.label && labels.some(({ label }) => label === typed);
  const counted = useCounted(other ? withQuery(to('keep.labels.merged'), { from: row.label, to: typed }) : null);
  return (
    <DialogForm
      title={say('labels.change_of', { label: row.label })}
      keep={say(other ? 'labels.merge' : 'labels.rename')}
      busy={form.processing}
      disabled={typed === row.label || (other && !counted.done)}
      onLeave={onLeave}
      onKeep={() => {
        form.transform((data) => ({ ...data, together: other }));
        form.put(to('keep.labels'), { preserveScroll: true, onSuccess: onLeave });
      }}
    >
      <TextInput label={say('labels.name')} description={say('labels.name_told')} maxLength={60} data-autofocus value={form.data.to} error={form.errors.to} onChange={(event) => form.setData('to', event.currentTarget.value)} />
      {other && (
        <>
          <p>{say('labels.merge_told', { from: row.label, to: typed })}</p>
          <CountedLines counted={counted} none={say('labels.merge_nobody')} />
        </>
      )}
    </DialogForm>
  );
}
