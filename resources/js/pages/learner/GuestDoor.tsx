import { useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import { LearnerShell } from '../../ui/LearnerShell';

export default function GuestDoor({ token }: { token: string }) {
  const form = useForm({ phrase: '' });
  return (
    <LearnerShell title="The guest door">
      <form
        className="doorform"
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.post(`/g/${token}`);
        }}
      >
        <h1>The guest door</h1>
        <p>Whoever invited you has given you a pass phrase.</p>
        <TextInput label="Pass phrase" autoComplete="off" autoFocus value={form.data.phrase} error={form.errors.phrase} onChange={(event) => form.setData('phrase', event.currentTarget.value)} />
        <Button type="submit" size="md" loading={form.processing}>
          Come in
        </Button>
      </form>
    </LearnerShell>
  );
}
