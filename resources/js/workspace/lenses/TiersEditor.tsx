import { router } from '@inertiajs/react';
import { Checkbox } from '@mantine/core';
import { type ReactNode, useState } from 'react';

import { EditorShell } from '../EditorShell';
import { to } from '../../lib/route';

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
    <EditorShell label={`Who ${title} is for`} width={260} onSubmit={keep} onClose={onClose} target={children}>
      <Checkbox label="Every pass" checked={every} onChange={(event) => setEvery(event.currentTarget.checked)} />
      {!every && (
        <Checkbox.Group label="Passes of these tiers" value={chosen} onChange={setChosen}>
          {all.map((tier) => (
            <Checkbox key={tier} value={tier} label={tier} mt={6} />
          ))}
        </Checkbox.Group>
      )}
      {!every && chosen.length === 0 && <p className="soft">None chosen: no pass opens it, only a grant.</p>}
    </EditorShell>
  );
}
