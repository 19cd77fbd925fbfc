import { Link, useForm } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { type FormEvent, useState } from 'react';

import { learnerAddress } from '../../lib/address';
import type { CheckoutPage } from '../../lib/types';
import { uuid } from '../../lib/uuid';
import { AccountFields } from '../../ui/AccountFields';
import { LearnerShell } from '../../ui/LearnerShell';

export default function Checkout({ course, courseTitle, offer, name, price, lasts, item, itemTitle, free, holder, signIn }: CheckoutPage) {
  const [once] = useState(uuid);
  const form = useForm({ name: '', email: '', item: item ?? '', once });
  return (
    <LearnerShell title={name} signIn={signIn}>
      <form
        className="doorform"
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.post(`/checkout/${encodeURIComponent(offer)}`);
        }}
      >
        <h1>{name}</h1>
        <p>
          {courseTitle}, {lasts}. <b>{free ? 'It is free.' : price}</b>
        </p>
        {!free && <p className="simulated">This is a simulated shop: no money moves, and nothing is asked of your bank.</p>}
        {holder === null ? (
          <>
            <AccountFields data={form.data} errors={form.errors} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />
            <p>
              Have you been here before? <Link href={signIn}>Sign in</Link> with your account.
            </p>
          </>
        ) : (
          <p>For {holder}.</p>
        )}
        <Button type="submit" size="md" loading={form.processing}>
          {free ? 'Claim it' : `Buy it for ${price}`}
        </Button>
        <p>
          <Link href={learnerAddress(course, item ?? undefined)}>Back to {itemTitle ?? courseTitle}</Link>
        </p>
      </form>
    </LearnerShell>
  );
}
