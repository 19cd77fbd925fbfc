import { Link } from '@inertiajs/react';

import type { NumbersPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { useReloads } from '../../lib/useReloads';
import { inOrder } from '../../numbers/drawing';
import { Figure } from '../../numbers/Figure';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import ui from '../../ui/ui.module.css';

/** A course in numbers: where learners are, what opens, how trials go. */
export default function Numbers({ course, title, live, counting, looked, of, places, where, opens, trials }: NumbersPage) {
  useReloads(counting);
  const shades = inOrder(places.length);
  return (
    <KeepShell title={say('numbers.of', { title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('numbers.of', { title })}</h1>
            {counting && <span className={ui.soft}>{say('numbers.counting', { looked, of })}</span>}
          </div>
          <p className={ui.doors}>
            <Link href={to('keep.course', { course })}>{say('numbers.back')}</Link>
          </p>
        </div>
      </PageHead>
      <main className={ui.plainpage} aria-busy={counting || undefined}>
        {!live ? (
          <div className={ui.empty}>
            <p>{say('numbers.not_live')}</p>
          </div>
        ) : (
          <>
            <Figure
              title={say('numbers.where.title')}
              told={say('numbers.where.told')}
              head={say('numbers.when')}
              none={say('numbers.nobody')}
              counting={counting}
              kind="area"
              rows={where.map(({ when, people }) => ({ when, ...Object.fromEntries(people.map((number, at) => [`p${at}`, number])) }))}
              series={places.map((place, at) => ({ name: `p${at}`, label: place.title, color: shades[at] ?? '' }))}
            />
            <Figure
              title={say('numbers.opens.title')}
              told={say('numbers.opens.told')}
              head={say('numbers.week')}
              none={say('numbers.opens.none')}
              counting={counting}
              kind="bars"
              rows={opens.map(({ when, people, openings }) => ({ when, people, openings }))}
              series={[
                { name: 'people', label: say('numbers.opens.people'), color: 'var(--verdigris)' },
                { name: 'openings', label: say('numbers.opens.openings'), color: 'var(--brass)' },
              ]}
            />
          </>
        )}
        {trials !== null && (
          <Figure
            title={say('numbers.trials.title')}
            told={say('numbers.trials.told')}
            head={say('numbers.week')}
            none={say('numbers.trials.none')}
            counting={false}
            kind="bars"
            rows={trials.map(({ when, begun, ended, taken }) => ({ when, begun, ended, taken }))}
            series={[
              { name: 'begun', label: say('numbers.trials.begun'), color: 'var(--accent)' },
              { name: 'ended', label: say('numbers.trials.ended'), color: 'var(--slate)' },
              { name: 'taken', label: say('numbers.trials.taken'), color: 'var(--verdigris)' },
            ]}
          />
        )}
      </main>
    </KeepShell>
  );
}
