import { Link, router, useForm } from '@inertiajs/react';
import { Button, Menu, TextInput } from '@mantine/core';

import type { PeoplePage } from '../lib/generated/types';
import { to } from '../lib/route';

export function SavedFilters({ filter, segments }: Pick<PeoplePage, 'filter' | 'segments'>) {
  const form = useForm({ name: '', filter });
  return (
    <Menu width={280} position="bottom-end" withArrow closeOnItemClick={false}>
      <Menu.Target>
        <button type="button" className="linklike segments">
          Segments{segments.length > 0 ? ` (${segments.length})` : ''}
        </button>
      </Menu.Target>
      <Menu.Dropdown>
        {segments.map((segment) => (
          <div key={segment.id} className="segment">
            <Link href={`${to('keep.people.list')}?${segment.query}`}>{segment.name}</Link>
            <button type="button" className="linklike" aria-label={`Forget ${segment.name}`} onClick={() => router.delete(to('keep.segments.forget', { segment: segment.id }), { preserveState: true, preserveScroll: true })}>
              Forget
            </button>
          </div>
        ))}
        {Object.keys(filter).length === 0 ? (
          <p className="soft segment">Filter the list, and keep the filter here under a name.</p>
        ) : (
          <form
            className="segment"
            onSubmit={(event) => {
              event.preventDefault();
              form.transform((data) => ({ ...data, filter }));
              form.post(to('keep.segments.save'), { preserveState: true, preserveScroll: true, onSuccess: () => form.reset() });
            }}
          >
            <TextInput size="xs" aria-label="Keep this filter as" placeholder="Keep this filter as" maxLength={60} value={form.data.name} error={form.errors.name} onChange={(event) => form.setData('name', event.currentTarget.value)} />
            <Button size="xs" type="submit" variant="default" loading={form.processing}>
              Keep
            </Button>
          </form>
        )}
      </Menu.Dropdown>
    </Menu>
  );
}
