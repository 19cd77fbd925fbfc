import { router } from '@inertiajs/react';
import { Button, Checkbox, Popover } from '@mantine/core';
import { type FormEvent, type ReactNode, useState } from 'react';

import { keepAddress } from '../lib/address';

export interface TiersEditorProps {
  course: string;
  version: number;
  /** Of the course. */
  all: string[];
  /** Set now; null: every pass. */
  tiers: string[] | null;
  items: string[];
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** Says which tiers rows are for, in the cell. */
export function TiersEditor({ course, version, all, tiers, items, title, onClose, children }: TiersEditorProps) {
  const [every, setEvery] = useState(tiers === null);
  const [chosen, setChosen] = useState(tiers ?? []);
  const keep = (event: FormEvent) => {
    event.preventDefault();
    router.post(
      keepAddress(course, '/draft/edits'),
      { version, set: 'tiers', items, value: every ? null : all.filter((tier) => chosen.includes(tier)) },
      { preserveScroll: true, preserveState: true, onFinish: onClose },
    );
  };
  return (
    <Popover opened onClose={onClose} trapFocus returnFocus withArrow position="bottom-start" width={260}>
      <Popover.Target>{children}</Popover.Target>
      <Popover.Dropdown className="editor">
        <form onSubmit={keep} aria-label={`Who ${title} is for`}>
          <Checkbox label="Every pass" checked={every} onChange={(event) => setEvery(event.currentTarget.checked)} />
          {!every && (
            <Checkbox.Group label="Passes of these tiers" value={chosen} onChange={setChosen}>
              {all.map((tier) => (
                <Checkbox key={tier} value={tier} label={tier} mt={6} />
              ))}
            </Checkbox.Group>
          )}
          {!every && chosen.length === 0 && <p className="soft">None chosen: no pass opens it, only a grant.</p>}
          <div className="editor-acts">
            <Button type="button" variant="default" onClick={onClose}>
              Leave
            </Button>
            <Button type="submit">Keep in the draft</Button>
          </div>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}
