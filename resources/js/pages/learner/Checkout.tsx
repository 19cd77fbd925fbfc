import { Link, useForm } from '@inertiajs/react';
import { type FormEvent, useState } from 'react';

import { learnerAddress } from '../../lib/address';
import type { CheckoutPage } from '../../lib/generated/types';
import { uuid } from '../../lib/uuid';
import { AccountFields } from '../../ui/AccountFields';
import { Prose } from '../../learn/Prose';
import { LearnerShell } from '../../learn/LearnerShell';
import { Button } from '../../ui/Plain';
import { say, saying } from '../../lib/say';
import css from '../../learn/learn.module.css';

export default function Checkout({ course, courseTitle, buy, name, price, lasts, item, itemTitle, free, instead, includes, refusal, closing, shown, holder, signIn }: CheckoutPage) {
  const [once] = useState(uuid);
  const form = useForm({ name: '', email: '', item: item ?? '', once, shown });
  const back = (
    <p>
      <Link href={learnerAddress(course, item ?? undefined)}>{say('shop.back', { item: itemTitle ?? courseTitle })}</Link>
    </p>
  );
  if (refusal !== null) {
    return (
      <LearnerShell title={name} signIn={signIn}>
        <div className={css.doorform}>
          <h1>{name}</h1>
          <p role="status">{refusal}</p>
          {closing !== null && <Prose html={closing} />}
          {holder === null ? <p>{saying('shop.before', { signIn: <Link key="signIn" href={signIn}>{say('sign_in')}</Link> })}</p> : null}
          {back}
        </div>
      </LearnerShell>
    );
  }
  return (
    <LearnerShell title={name} signIn={signIn}>
      <form
        className={css.doorform}
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.transform((data) => ({ ...data, shown }));
          form.post(buy);
        }}
      >
        <h1>{name}</h1>
        <p>
          {includes.length > 0
            ? saying('shop.what_bundle', { lasts, price: <b key="price">{free ? say('shop.free') : price}</b> })
            : saying('shop.what', { course: courseTitle, lasts, price: <b key="price">{free ? say('shop.free') : price}</b> })}
        </p>
        {includes.length > 0 && (
          <ul className={css.includes}>
            {includes.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
        {instead !== null && <p>{instead}</p>}
        {!free && <p className={css.simulated}>{say('shop.simulated')}</p>}
        {holder === null ? (
          <>
            <AccountFields data={form.data} errors={form.errors} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />
            <p>
              {saying('shop.before', { signIn: <Link key="signIn" href={signIn}>{say('sign_in')}</Link> })}
            </p>
          </>
        ) : (
          <p>{say('shop.for', { name: holder })}</p>
        )}
        <Button type="submit" loading={form.processing}>
          {free ? say('shop.claim') : say('shop.buy_for', { price })}
        </Button>
        {back}
      </form>
    </LearnerShell>
  );
}
