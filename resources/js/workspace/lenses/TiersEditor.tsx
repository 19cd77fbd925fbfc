import { router } from '@inertiajs/react';
import { Checkbox } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { say } from '../../lib/keepSay';
import { RuleHelp } from '../RuleHelp';

import { EditorShell } from '../EditorShell';
import { to } from '../../lib/route';
import ui from '../../ui/ui.module.css';

export interface TiersEditorProps {
  course: string;
  version: number;
  /** Of the course. */
  all: string[];
  /** Set now; left out: every pass. */
  tiers: string[] | undefined;
  items: string[];
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Says which tiers rows are for, in the cell. */
export function TiersEditor({ course, version, all, tiers, items, title, onClose, children }: TiersEditorProps) {
  // What stands in the form is what its editor saw, whatever others do meanwhile.
  const [seen] = useState(version);
  const [every, setEvery] = useState(tiers === undefined);
  const [chosen, setChosen] = useState(tiers ?? []);
  const keep = () => {
    router.post(
      to('keep.draft.edit', { course }),
      { version: seen, set: 'tiers', items, value: every ? null : all.filter((tier) => chosen.includes(tier)) },
      { preserveScroll: true, preserveState: true, onFinish: onClose },
    );
  };
  return (
    <EditorShell label={say('lenses.tiers_editor.who_title_is_for', { title })} width={260} dirty={every !== (tiers === undefined) || (!every && all.filter((tier) => chosen.includes(tier)).join() !== (tiers ?? []).join())} onSubmit={keep} onClose={onClose} target={children}>
      <RuleHelp of="tiers" title={title} />
      <Checkbox label={say('lenses.tiers_editor.every_pass')} checked={every} onChange={(event) => setEvery(event.currentTarget.checked)} />
      {!every && (
        <Checkbox.Group label={say('lenses.tiers_editor.passes_of_these_tiers')} value={chosen} onChange={setChosen}>
          {all.map((tier) => (
            <Checkbox key={tier} value={tier} label={tier} mt={6} />
          ))}
        </Checkbox.Group>
      )}
      {!every && chosen.length === 0 && <p className={ui.soft}>{say('lenses.tiers_editor.none_chosen_no_pass')}</p>}
    </EditorShell>
  );
}
