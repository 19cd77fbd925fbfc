import { useForm } from '@inertiajs/react';
import { NumberInput, Select } from '@mantine/core';
import type { ReactNode } from 'react';
import { RuleHelp } from '../RuleHelp';

import type { FinishedBy, FinishRule } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { EditorShell } from '../EditorShell';
import { to } from '../../lib/route';
import ui from '../../ui/ui.module.css';

const WAYS: { value: FinishedBy; label: string }[] = [
  { value: 'mark', label: say('sheet.finish_editor.its_learner_marks_as') },
  { value: 'visit', label: say('sheet.finish_editor.first_visit_finishes') },
  { value: 'watch', label: say('sheet.finish_editor.its_video_is_watched') },
  { value: 'quiz', label: say('sheet.finish_editor.its_quiz_is_passed') },
];

/** What is asked unless somebody says otherwise, in percent. */
const USUAL: Partial<Record<FinishedBy, number>> = { watch: 90, quiz: 70 };

export interface FinishEditorProps {
  course: string;
  version: number;
  finish: FinishRule | undefined;
  items: string[];
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Says how lessons and parts are finished. */
export function FinishEditor({ course, version, finish, items, title, onClose, children }: FinishEditorProps) {
  const form = useForm({ version, set: 'finish', items, by: finish?.by ?? 'mark', percent: finish?.percent ?? null });
  const { data, errors, setData } = form;
  const keep = () => form.post(to('keep.draft.edit', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  return (
    <EditorShell label={say('sheet.finish_editor.how_title_is_finished', { title })} width={300} busy={form.processing} dirty={form.isDirty} onSubmit={keep} onClose={onClose} target={children}>
      <RuleHelp of="finish" title={title} />
      <Select
        label={say('sheet.finish_editor.how_title_is_finished', { title })}
        data={WAYS}
        value={data.by}
        error={errors.by}
        allowDeselect={false}
        comboboxProps={{ withinPortal: false }}
        onChange={(chosen) => {
          const by = WAYS.find(({ value }) => value === chosen)?.value ?? 'mark';
          setData({ ...data, by, percent: USUAL[by] ?? null });
        }}
      />
      {(data.by === 'watch' || data.by === 'quiz') && (
        <NumberInput
          label={data.by === 'watch' ? say('sheet.finish_editor.how_much_in_percent') : say('sheet.finish_editor.from_which_score_in')}
          min={data.by === 'watch' ? 1 : 0}
          max={100}
          allowDecimal={false}
          value={data.percent ?? ''}
          error={errors.percent}
          onChange={(percent) => setData('percent', percent === '' ? null : Number(percent))}
        />
      )}
      {data.by === 'watch' && <p className={ui.soft}>{say('sheet.finish_editor.whoever_skips_ahead_has')}</p>}
    </EditorShell>
  );
}
