import { useForm } from '@inertiajs/react';
import { Button, NumberInput } from '@mantine/core';
import { clsx } from 'clsx';
import { type FormEvent, useState } from 'react';

import type { DepartedCount, KeptPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { SchoolTabs } from '../../school/SchoolTabs';
import css from '../../school/school.module.css';
import { DialogForm } from '../../ui/DialogForm';
import { KeepShell } from '../../ui/KeepShell';
import ui from '../../ui/ui.module.css';

type Days = Record<KeptPage['rows'][number]['kind'], number | null>;

/** What goes sooner than before, and whom that would erase. */
interface Less {
  lines: string[];
  people: number | null;
}

const told = (days: number | null) => (days === null ? say('privacy.kept.good') : say('privacy.kept.of_days', { days }));

/** For how long the school keeps what of people. */
export default function Kept({ rows, mayRun }: KeptPage) {
  const from = Object.fromEntries(rows.map(({ kind, days }) => [kind, days])) as Days;
  const form = useForm<{ days: Days }>({ days: from });
  const errors = form.errors as Partial<Record<string, string>>;
  const { days } = form.data;
  const [less, setLess] = useState<Less | null>(null);
  // What this page was told is what is to be changed, also after it was saved once.
  form.transform((data) => ({ ...data, from }));
  const save = () => form.put(to('keep.kept.change'), { preserveScroll: true, onSuccess: () => form.setDefaults(), onFinish: () => setLess(null) });
  const ask = async () => {
    const sooner = rows.filter(({ kind }) => days[kind] !== null && (from[kind] === null || Number(days[kind]) < Number(from[kind])));
    if (sooner.length === 0) {
      save();
      return;
    }
    const departed = sooner.some(({ kind }) => kind === 'departed') ? await counted(days.departed) : null;
    setLess({ lines: sooner.map(({ kind, title }) => say('privacy.kept.sure.line', { what: title, was: told(from[kind]), days: told(days[kind]) })), people: departed });
  };
  return (
    <KeepShell title={say('privacy.kept.title')}>
      <main className={ui.plainpage}>
        <h1>{say('privacy.kept.title')}</h1>
        <SchoolTabs here="kept" />
        <p className={ui.soft}>{say('privacy.kept.told')}</p>
        <form
          className={ui.schoolform}
          noValidate
          onSubmit={(event: FormEvent) => {
            event.preventDefault();
            void ask();
          }}
        >
          <div className={css.scroll}>
            <table className={clsx(ui.list, css.kept)}>
              <caption className={ui.vh}>{say('privacy.kept.told')}</caption>
              <thead>
                <tr>
                  <th scope="col">{say('privacy.data.what')}</th>
                  <th scope="col">{say('privacy.kept.days')}</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(({ kind, title, told: more, least, mayStay }) => (
                  <tr key={kind}>
                    <th scope="row">
                      {title}
                      <span>{more}</span>
                    </th>
                    <td>
                      <NumberInput
                        w={130}
                        aria-label={say('privacy.kept.days_of', { what: title })}
                        description={say('privacy.kept.least', { days: least })}
                        placeholder={mayStay ? say('privacy.kept.good') : ''}
                        min={0}
                        max={36500}
                        allowDecimal={false}
                        clampBehavior="none"
                        disabled={!mayRun}
                        value={days[kind] ?? ''}
                        error={errors[`days.${kind}`]}
                        onChange={(typed) => form.setData('days', { ...days, [kind]: typed === '' ? null : Number(typed) })}
                      />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {errors.days !== undefined && <p className={ui.takes}>{errors.days}</p>}
          {mayRun && (
            <div className={clsx(ui['review-acts'], css.below)}>
              <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
                {say('privacy.kept.keep')}
              </Button>
            </div>
          )}
        </form>
        {less !== null && (
          <DialogForm title={say('privacy.kept.sure.title')} size={520} keep={say('privacy.kept.sure.keep')} busy={form.processing} onLeave={() => setLess(null)} onKeep={save}>
            <p>{say('privacy.kept.sure.told')}</p>
            <ul>
              {less.lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            {less.people !== null && <p className={ui.takes}>{say('privacy.kept.sure.departed', { count: less.people })}</p>}
          </DialogForm>
        )}
      </main>
    </KeepShell>
  );
}

async function counted(days: number | null): Promise<number> {
  const answer = await fetch(`${to('keep.kept.departed')}?days=${days ?? ''}`, { headers: { Accept: 'application/json' } });
  return answer.ok ? ((await answer.json()) as DepartedCount).people : 0;
}
