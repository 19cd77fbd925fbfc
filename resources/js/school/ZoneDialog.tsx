import { useForm } from '@inertiajs/react';
import { Select } from '@mantine/core';

import { withQuery } from '../lib/address';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';
import { CountedLines, useCounted } from './CountedLines';

/** Another zone for the school: what it moves, for whom, counted before it is kept. */
export function ZoneDialog({ zone, onLeave }: { zone: string; onLeave: () => void }) {
  const form = useForm({ from: zone, zone });
  const { data, errors, setData } = form;
  const other = data.zone !== zone;
  const counted = useCounted(other ? withQuery(to('keep.zone'), { zone: data.zone }) : null);
  return (
    <DialogForm
      title={say('school.zone.title')}
      size={560}
      keep={say('school.zone.keep')}
      busy={form.processing}
      disabled={!other || !counted.done}
      onLeave={onLeave}
      onKeep={() => form.put(to('keep.zone.change'), { preserveScroll: true, onSuccess: onLeave })}
    >
      <Select
        label={say('school.zone.zone')}
        description={say('school.zone.told')}
        data={[...new Set([zone, ...Intl.supportedValuesOf('timeZone')])]}
        searchable
        allowDeselect={false}
        data-autofocus
        value={data.zone}
        error={errors.zone}
        onChange={(chosen) => chosen !== null && setData('zone', chosen)}
      />
      {other && <CountedLines counted={counted} none={say('school.zone.none')} />}
    </DialogForm>
  );
}
