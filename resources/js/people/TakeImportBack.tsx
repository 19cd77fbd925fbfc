import { router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { useState } from 'react';

import type { ImportBack } from '../lib/generated/types';
import { getJson } from '../lib/http';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';
import ui from '../ui/ui.module.css';

/** Takes back what a file brought: what would go and what would stay is shown first. */
export function TakeImportBack({ id, days }: { id: number; days: number }) {
  const [open, setOpen] = useState(false);
  const [told, setTold] = useState<ImportBack | null>(null);
  const [failed, setFailed] = useState(false);
  const [busy, setBusy] = useState(false);
  const look = async () => {
    setTold(null);
    setFailed(false);
    setOpen(true);
    const found = await getJson<ImportBack>(to('keep.import.back', { import: id }));
    setTold(found);
    setFailed(found === null);
  };
  const takeBack = () => router.delete(to('keep.import', { import: id }), { onStart: () => setBusy(true), onFinish: () => setBusy(false), onSuccess: () => setOpen(false) });
  return (
    <>
      <p>
        <Button variant="default" onClick={() => void look()}>
          {say('imports.import.take_back')}
        </Button>{' '}
        <span className={ui.soft}>{say('imports.import.take_back_for', { days })}</span>
      </p>
      {open && (
        <DialogForm title={say('imports.import.take_back_title')} size={520} keep={say('imports.import.take_back')} busy={busy} disabled={told === null || told.goes.length === 0} error={failed ? say('imports.import.take_back_unknown') : undefined} onKeep={takeBack} onLeave={() => setOpen(false)}>
          {told === null && !failed && <p role="status">{say('imports.import.looking')}</p>}
          {told !== null && (
            <>
              {told.goes.length === 0 ? <p>{say('imports.import.nothing_goes')}</p> : <Lines title={say('imports.import.goes')} lines={told.goes} />}
              {told.stays.length > 0 && <Lines title={say('imports.import.stays')} lines={told.stays} />}
              {told.goes.length > 0 && <p className={ui.soft}>{say('imports.import.not_written')}</p>}
            </>
          )}
        </DialogForm>
      )}
    </>
  );
}

function Lines({ title, lines }: { title: string; lines: string[] }) {
  return (
    <div>
      <b>{title}</b>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </div>
  );
}
