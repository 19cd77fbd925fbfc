import { router } from '@inertiajs/react';
import { Autocomplete, Select } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { clsx } from 'clsx';

import {
  type Ask,
  type ConditionAsk,
  type ConditionGroup,
  type ConditionPart,
  isGroup,
  newAsk,
  newGroup,
  pathsOf,
  readCondition,
  withPart,
  writeCondition,
} from '../../lib/condition';
import type { ConditionWords, OfferPick, OutlineRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { EditorShell } from '../EditorShell';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';
import { WallInput } from '../../ui/WallInput';
import { RuleHelp } from '../RuleHelp';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

const ASK_WORDS: { value: Ask; label: string }[] = [
  { value: 'label', label: say('sheet.condition_editor.has_the_label') },
  { value: 'tier', label: say('sheet.condition_editor.holds_pass_tier') },
  { value: 'offer', label: say('sheet.condition_editor.came_by_the_offer') },
  { value: 'done', label: say('sheet.condition_editor.has_finished') },
  { value: 'kind', label: say('sheet.condition_editor.is_a') },
  { value: 'from', label: say('sheet.condition_editor.comes_on_or_after') },
  { value: 'until', label: say('sheet.condition_editor.comes_before') },
];

const KINDS = ['learner', 'observer', 'guest', 'member', 'visitor', 'staff'].map((kind) => ({
  value: kind,
  label: { learner: 'learner', observer: 'observer', guest: 'guest', member: say('sheet.condition_editor.member_signed_in_no'), visitor: say('sheet.condition_editor.visitor_not_signed_in'), staff: say('sheet.condition_editor.member_of_staff') }[kind] ?? kind,
}));

/** What conditions can speak of. */
export interface ConditionNames {
  tiers: string[];
  offers: OfferPick[];
  labels: string[];
  outline: OutlineRow[];
}

export interface ConditionEditorProps {
  course: string;
  version: number;
  /** As the plan format has it; left out: everyone. */
  only: Record<string, unknown> | undefined;
  names: ConditionNames;
  items: string[];
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Builds the condition on who rows are for, and reads it back as a sentence. */
export function ConditionEditor({ course, version, only, names, items, title, onClose, children }: ConditionEditorProps) {
  const [group, setGroup] = useState(() => readCondition(only));
  const [first] = useState(() => JSON.stringify(writeCondition(readCondition(only))));
  const [asked, setAsked] = useState(false);
  const [refused, setRefused] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const [seen] = useState(version);
  const { last: read } = useAsked<ConditionWords>(to('keep.condition', { course }), { only: writeCondition(group) });

  const keep = () => {
    setAsked(true);
    router.post(
      to('keep.draft.edit', { course }),
      { version: seen, set: 'only', items, value: writeCondition(group) },
      {
        preserveScroll: true,
        preserveState: true,
        onStart: () => setBusy(true),
        onFinish: () => setBusy(false),
        onSuccess: onClose,
        onError: setRefused,
      },
    );
  };
  // What is only half typed is no mistake yet.
  const errors: Record<string, string> = asked ? { ...refused, ...read?.errors } : {};
  return (
    <EditorShell label={say('sheet.condition_editor.who_title_for_besides', { title })} width={460} busy={busy} dirty={JSON.stringify(writeCondition(group)) !== first} onSubmit={keep} onClose={onClose} target={children}>
      <RuleHelp of="only" title={title} />
      <GroupEditor group={group} root names={names} errors={errors} paths={pathsOf(group)} onChange={(changed) => changed !== null && isGroup(changed) && setGroup(changed)} />
      <p className={css.readback} role="status">
        {group.parts.length === 0 && group.mode === 'all' ? (
          <>{say('sheet.condition_editor.without_condition_everyone_whom')}</>
        ) : (
          <>
            {saying('sheet.condition_editor.reads', { words: <b>{read?.words ?? '…'}</b> })}
          </>
        )}
      </p>
    </EditorShell>
  );
}

interface PartProps {
  names: ConditionNames;
  errors: Record<string, string>;
  paths: Map<number, string>;
  onChange: (part: ConditionPart | null) => void;
}

function GroupEditor({ group, root = false, names, errors, paths, onChange }: PartProps & { group: ConditionGroup; root?: boolean }) {
  const add = (part: ConditionPart) => onChange({ ...group, parts: [...group.parts, part] });
  return (
    <fieldset className={clsx(css.cond, root && css.root)}>
      <legend>
        {!root && <NotButton part={group} onChange={onChange} />}
        <select
          aria-label={say('sheet.condition_editor.which_these_must_hold')}
          value={group.mode}
          onChange={(event) => onChange({ ...group, mode: event.currentTarget.value === 'any' ? 'any' : 'all' })}
        >
          <option value="all">{say('sheet.condition_editor.all_of_these_hold')}</option>
          <option value="any">{say('sheet.condition_editor.any_of_these_holds')}</option>
        </select>
        {!root && <RemoveButton what={say('sheet.condition_editor.this_group')} onChange={onChange} />}
      </legend>
      {group.parts.map((part) => {
        const change = (changed: ConditionPart | null) => onChange(withPart(group, part.id, () => changed));
        const common = { names, errors, paths, onChange: change };
        return isGroup(part) ? <GroupEditor key={part.id} group={part} {...common} /> : <AskEditor key={part.id} part={part} {...common} />;
      })}
      <div className={css['cond-add']}>
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => add(newAsk())}>
          {say('sheet.condition_editor.add_a_condition')}
        </button>
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => add(newGroup(group.mode === 'all' ? 'any' : 'all', [newAsk()]))}>
          {say('sheet.condition_editor.add_a_group')}
        </button>
      </div>
    </fieldset>
  );
}

function AskEditor({ part, names, errors, paths, onChange }: PartProps & { part: ConditionAsk }) {
  const set = (value: string) => onChange({ ...part, value });
  const error = errors[paths.get(part.id) ?? ''];
  return (
    <div className={css['cond-ask']}>
      <NotButton part={part} onChange={onChange} />
      <Select
        aria-label={say('sheet.condition_editor.what_is_asked')}
        data={ASK_WORDS}
        value={part.ask}
        allowDeselect={false}
        comboboxProps={{ withinPortal: false, width: 200, position: 'bottom-start' }}
        onChange={(ask) => onChange({ ...part, ask: ASK_WORDS.find(({ value }) => value === ask)?.value ?? 'label', value: '' })}
      />
      <AskValue part={part} names={names} error={error} onSet={set} />
      <RemoveButton what={say('sheet.condition_editor.this_condition')} onChange={onChange} />
    </div>
  );
}

interface AskValueProps {
  part: ConditionAsk;
  names: ConditionNames;
  error: string | undefined;
  onSet: (value: string) => void;
}

function AskValue({ part, names, error, onSet }: AskValueProps) {
  if (part.ask === 'label') {
    return <Autocomplete aria-label={say('keep.label')} data={names.labels} value={part.value} error={error} comboboxProps={{ withinPortal: false }} onChange={onSet} />;
  }
  if (part.ask === 'from' || part.ask === 'until') {
    return <WallInput aria-label={say('keep.date_and_time_school')} value={part.value} error={error} onWall={(wall) => onSet(wall)} />;
  }
  const choices = {
    tier: names.tiers.map((tier) => ({ value: tier, label: tier })),
    offer: names.offers.map(({ key, title }) => ({ value: key, label: title })),
    kind: KINDS,
    done: names.outline.filter((row) => row.kind !== 'board').map((row) => ({ value: row.key, label: row.kind === 'module' ? say('sheet.condition_editor.title_module', { title: row.title }) : row.title })),
  }[part.ask];
  return (
    <Select
      aria-label={ASK_WORDS.find(({ value }) => value === part.ask)?.label}
      placeholder={choices.length === 0 ? say('sheet.condition_editor.this_course_has_none') : say('sheet.condition_editor.choose')}
      data={choices}
      value={part.value === '' ? null : part.value}
      error={error}
      searchable={part.ask === 'done'}
      nothingFoundMessage={say('sheet.condition_editor.none_of_this_name')}
      comboboxProps={{ withinPortal: false }}
      onChange={(value) => onSet(value ?? '')}
    />
  );
}

function NotButton({ part, onChange }: { part: ConditionPart; onChange: (part: ConditionPart) => void }) {
  return (
    <button type="button" className={css['cond-not']} aria-pressed={part.not} onClick={() => onChange({ ...part, not: !part.not })}>
      {say('sheet.condition_editor.not')}
    </button>
  );
}

function RemoveButton({ what, onChange }: { what: string; onChange: (part: null) => void }) {
  return (
    <button type="button" className={css['cond-x']} aria-label={say('sheet.condition_editor.take_out_what', { what })} onClick={() => onChange(null)}>
      ×
    </button>
  );
}
