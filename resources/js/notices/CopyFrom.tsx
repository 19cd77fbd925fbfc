import { Button, Select } from '@mantine/core';
import { useState } from 'react';

import type { CopiedNotice } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import css from './notices.module.css';
import ui from '../ui/ui.module.css';

/** Takes over what stands on another notice; it is asked for only once somebody wants it. */
export function CopyFrom({ onCopy }: { onCopy: (from: CopiedNotice) => void }) {
  const [open, setOpen] = useState(false);
  const { answer } = useAsked<CopiedNotice[]>(open ? to('keep.notices.copies') : null, undefined, 0);
  if (!open) {
    return (
      <p>
        <button type="button" className={ui.linklike} onClick={() => setOpen(true)}>
          {say('notices.copy.from')}
        </button>
      </p>
    );
  }
  return (
    <div className={css.copyfrom}>
      {answer !== null && answer.length === 0 && <p className={ui.soft}>{say('notices.copy.none')}</p>}
      <Select
        label={say('notices.copy.from')}
        description={say('notices.copy.told')}
        size="xs"
        searchable
        autoFocus
        disabled={answer === null || answer.length === 0}
        placeholder={say('notices.copy.pick')}
        data={(answer ?? []).map(({ name, from }) => ({ value: name, label: from }))}
        value={null}
        onChange={(name) => {
          const from = answer?.find((one) => one.name === name);
          if (from !== undefined) {
            onCopy(from);
            setOpen(false);
          }
        }}
      />
      <Button size="xs" variant="default" onClick={() => setOpen(false)}>
        {say('keep.leave')}
      </Button>
    </div>
  );
}
