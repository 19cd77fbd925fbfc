import { Link, router, usePage } from '@inertiajs/react';
import { Button, Modal } from '@mantine/core';
import { type KeyboardEvent, useMemo, useRef, useState } from 'react';

import { isEditable, RuleEditor } from '../../lenses/RuleEditor';
import { columnName, RulesCell, rulesColumns } from '../../lenses/rules';
import { SightCell, sightlineColumns } from '../../lenses/sightlines';
import { keepAddress, withQuery } from '../../lib/address';
import { useShared } from '../../lib/page';
import { useShortcuts } from '../../lib/shortcuts';
import type { CourseHead, OutlineRow, Sentence, SightlinesGrid, WorkspacePage } from '../../lib/types';
import { counted, plainText } from '../../lib/words';
import { CourseForm } from '../../ui/CourseForm';
import { Grid } from '../../ui/Grid';
import { KeepShell } from '../../ui/KeepShell';
import { OutlineDialog, outlineKey, type OutlineTask, RowMenu, useOutlineActs } from '../../ui/outline';
import { Words } from '../../ui/Words';

const LENSES = [
  { id: 'rules', title: 'Rules' },
  { id: 'sightlines', title: 'Sightlines' },
];

export default function Workspace({ course, lens, rows, plans, plan, tiers, rules, changes, sightlines, mayEdit, settings }: WorkspacePage) {
  const { url } = usePage();
  const filterField = useRef<HTMLInputElement>(null);
  const [filter, setFilter] = useState(() => new URLSearchParams(url.split('?')[1]).get('find') ?? '');
  const [editing, setEditing] = useState<{ index: number; column: number } | null>(null);
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const [task, setTask] = useState<OutlineTask | null>(null);
  const [editsCourse, setEditsCourse] = useState(false);
  const acts = useOutlineActs(course.key, course.draftVersion);
  const { flash } = useShared();
  const [answered, setAnswered] = useState<typeof flash>(null);
  const [leaving, setLeaving] = useState<string[]>([]);
  const take = { ...acts, remove: (items: string[]) => [setLeaving(items), acts.remove(items)] };
  const shown = useMemo(() => {
    const wanted = filter.trim().toLowerCase();
    return rows.map((row, index) => ({ row, index })).filter(({ row }) => row.title.toLowerCase().includes(wanted));
  }, [rows, filter]);

  const show = (query: Record<string, string | number | null>) =>
    router.get(withQuery(url, query), {}, { preserveState: true, preserveScroll: true, replace: true });
  const step = (way: 'undo' | 'redo') => {
    if (mayEdit && (way === 'undo' ? course.edits : course.undone) > 0) {
      router.post(keepAddress(course.key, `/draft/${way}`), { version: course.draftVersion }, { preserveScroll: true, preserveState: true });
    }
  };
  useShortcuts({
    '1': () => show({ lens: 'rules' }),
    '2': () => show({ lens: 'sightlines' }),
    '/': () => filterField.current?.focus(),
    '0': () => show({ at: null }),
    'ctrl+z': () => step('undo'),
    'ctrl+y': () => step('redo'),
    'ctrl+shift+z': () => step('redo'),
  });

  const corner = (
    <>
      <ul className="lenses">
        {LENSES.map(({ id, title }, index) => (
          <li key={id}>
            <Link href={withQuery(url, { lens: id })} preserveState preserveScroll aria-current={id === lens ? 'page' : undefined}>
              <kbd>{index + 1}</kbd>
              {title}
            </Link>
          </li>
        ))}
      </ul>
      <label className="filter">
        <kbd>/</kbd>
        <input
          ref={filterField}
          type="search"
          placeholder="Filter rows"
          aria-label="Filter rows"
          value={filter}
          onChange={(event) => setFilter(event.currentTarget.value)}
          onBlur={() => window.history.replaceState(window.history.state, '', withQuery(url, { find: filter === '' ? null : filter }))}
        />
        <span>{shown.length === rows.length ? `${rows.length} rows` : `${shown.length} of ${rows.length}`}</span>
      </label>
    </>
  );

  return (
    <KeepShell title={course.title}>
      <Head
        course={course}
        changes={changes}
        mayEdit={mayEdit}
        seen={sightlines}
        onStep={step}
        onSee={(see) => show({ see })}
        onCourse={() => setEditsCourse(true)}
      />
      {task !== null && <OutlineDialog course={course.key} version={course.draftVersion} task={task} onClose={() => setTask(null)} />}
      {editsCourse && (
        <CourseForm course={course.key} version={course.draftVersion} settings={settings} onClose={() => setEditsCourse(false)} />
      )}
      <Modal
        opened={flash?.kind === 'asks' && flash !== answered && leaving.length > 0}
        onClose={() => setAnswered(flash)}
        title="Take it out all the same?"
      >
        <p>{flash?.text}:</p>
        <ul>
          {flash?.lines.map((line) => (
            <li key={plainText(line)}>
              <Words segments={line.segments} />
            </li>
          ))}
        </ul>
        <p>That would be taken out too. One step of undo brings everything back.</p>
        <div className="review-acts modal-acts">
          <Button variant="default" onClick={() => setAnswered(flash)} data-autofocus>
            Leave it
          </Button>
          <Button
            color="red"
            onClick={() => {
              setAnswered(flash);
              acts.remove(leaving, true);
            }}
          >
            Take it out
          </Button>
        </div>
      </Modal>
      <main className="work">
        {rows.length === 0 ? (
          <div className="empty">
            <p>
              <b>This course has no modules or lessons yet.</b> Type or paste their titles, one a line; openings, orders and samples are set in
              the grid afterwards.
            </p>
            {mayEdit && (
              <Button mt={14} onClick={() => setTask({ task: 'add', row: null })}>
                Add the first rows
              </Button>
            )}
          </div>
        ) : lens === 'sightlines' && sightlines !== null ? (
          <Grid
            caption={`What each vantage sees of ${course.title}, as of ${sightlines.atWords}`}
            corner={corner}
            columns={sightlineColumns(sightlines, (offer, day) => show({ [`day[${offer}]`]: day }))}
            rows={shown}
            cell={(index, column) => <SightCell sight={sightlines.rows[index]?.cells[column]} />}
          />
        ) : (
          <Grid
            caption={`What is set for each row of ${course.title}`}
            corner={corner}
            columns={rulesColumns({ plans, plan, addressOf: (name) => withQuery(url, { plan: name }) })}
            rows={shown}
            selected={selected}
            onSelect={setSelected}
            {...(mayEdit
              ? {
                  rowMenu: (row: OutlineRow) => <RowMenu row={row} acts={take} onTask={setTask} />,
                  onRowKey: (event: KeyboardEvent, row: OutlineRow) => outlineKey(event, row, take, setTask),
                }
              : {})}
            onActivate={(index, column) => {
              if (mayEdit && isEditable(columnName(column), plan, tiers)) {
                setEditing({ index, column });
              }
            }}
            cell={(index, column) => {
              const row = rules[index];
              const item = rows[index];
              if (row === undefined || item === undefined) {
                return null;
              }
              const words = <RulesCell row={row} column={column} />;
              return editing?.index === index && editing.column === column ? (
                <RuleEditor
                  course={course.key}
                  version={course.draftVersion}
                  plan={plan}
                  tiers={tiers}
                  column={columnName(column)}
                  row={row}
                  outline={rows}
                  rows={selected.has(item.key) ? rows.filter((one) => selected.has(one.key)) : [item]}
                  onClose={() => setEditing(null)}
                >
                  <div>{words}</div>
                </RuleEditor>
              ) : (
                words
              );
            }}
          />
        )}
        <footer className="rail">
          {sightlines === null ? <RulesFoot plan={plan} mayEdit={mayEdit} selected={selected.size} onClear={() => setSelected(new Set())} /> : <AsOf grid={sightlines} onAt={(at) => show({ at })} />}
        </footer>
      </main>
    </KeepShell>
  );
}

interface HeadProps {
  course: CourseHead;
  changes: Sentence[];
  mayEdit: boolean;
  seen: SightlinesGrid | null;
  onStep: (way: 'undo' | 'redo') => void;
  onSee: (see: string | null) => void;
  onCourse: () => void;
}

function Head({ course, changes, mayEdit, seen, onStep, onSee, onCourse }: HeadProps) {
  return (
    <div className="head">
      <div>
        <div className="title">
          <h1>{course.title}</h1>
          {course.revision === null ? (
            <span className="state state-draft">not live yet</span>
          ) : (
            <span className={`state state-${course.state}`}>{course.state}</span>
          )}
        </div>
        <p className="doors">
          <Words segments={course.doors} titles="b" />
          {mayEdit && (
            <>
              {' '}
              <button type="button" className="linklike" onClick={onCourse}>
                change
              </button>
            </>
          )}
        </p>
      </div>
      <div className="acts">
        {seen !== null && changes.length > 0 && (
          <div className="seg" role="group" aria-label="Which rules are looked at">
            <button type="button" aria-pressed={!seen.draft} onClick={() => onSee('published')}>
              As published
            </button>
            <button type="button" aria-pressed={seen.draft} onClick={() => onSee(null)}>
              With the changes
            </button>
          </div>
        )}
        {mayEdit && course.edits > 0 && (
          <button type="button" className="linklike" onClick={() => onStep('undo')}>
            <kbd>Ctrl Z</kbd> undo the last edit
          </button>
        )}
        {mayEdit && course.undone > 0 && (
          <button type="button" className="linklike" onClick={() => onStep('redo')}>
            <kbd>Ctrl Y</kbd> redo
          </button>
        )}
        <Link href={keepAddress(course.key, '/revisions')}>History</Link>
        {changes.length > 0 && (
          <Button component={Link} href={keepAddress(course.key, '/rehearsal')} h={30} size="sm">
            Review {counted(changes.length, 'unpublished change')}
          </Button>
        )}
      </div>
    </div>
  );
}

interface RulesFootProps {
  plan: string | null;
  mayEdit: boolean;
  /** How many rows. */
  selected: number;
  onClear: () => void;
}

function RulesFoot({ plan, mayEdit, selected, onClear }: RulesFootProps) {
  if (!mayEdit) {
    return <p className="hint">You see every rule; only administrators change them.</p>;
  }
  if (selected > 1) {
    return (
      <p className="hint" role="status">
        <b>{selected} rows selected.</b> Setting a cell of one of them sets all {selected} ·{' '}
        <button type="button" className="linklike" onClick={onClear}>
          <kbd>Esc</kbd> let go
        </button>
      </p>
    );
  }
  return (
    <p className="hint">
      <kbd>↑</kbd> <kbd>↓</kbd> move · <kbd>Shift</kbd> selects several · <kbd>Enter</kbd> edits a cell · <kbd>N</kbd> adds rows · edits gather in the draft, learners
      see them once published{plan === null ? ' · no release plan: everything opens at once' : ''}
    </p>
  );
}

function AsOf({ grid, onAt }: { grid: SightlinesGrid; onAt: (at: string | null) => void }) {
  return (
    <div className="asof">
      <label>
        As of{' '}
        <input
          key={grid.at}
          type="datetime-local"
          defaultValue={grid.at}
          onBlur={(event) => {
            const at = event.currentTarget.value;
            if (at !== '' && at !== grid.at) {
              onAt(at);
            }
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.currentTarget.blur();
            }
          }}
        />
      </label>
      <b>
        {grid.atWords}
        {grid.isNow ? ', now' : ''}
      </b>
      {!grid.isNow && (
        <button type="button" className="linklike" onClick={() => onAt(null)}>
          <kbd>0</kbd> back to now
        </button>
      )}
    </div>
  );
}
