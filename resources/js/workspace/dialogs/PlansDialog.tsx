import { router, useForm } from '@inertiajs/react';
import { Button, Modal, Select, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { clsx } from 'clsx';

import type { OfferPick } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import css from '../workspace.module.css';
import { FocusBack } from '../../ui/FocusBack';
import ui from '../../ui/ui.module.css';

const AT_ONCE = say('edits.plans_dialog.everything_at_once');

export interface PlansDialogProps {
  course: string;
  version: number;
  plans: string[];
  mainPlan: string | null;
  offers: OfferPick[];
  onClose: () => void;
}

/** The release plans of a course, and who is paced by which. Each change is an edit of the draft. */
export function PlansDialog({ course, version, plans, mainPlan, offers, onClose }: PlansDialogProps) {
  const [open, setOpen] = useState<{ plan: string; act: 'rename' | 'duplicate' | 'delete' } | null>(null);
  const send = (data: Record<string, string | null>) =>
    router.post(to('keep.draft.plans', { course }), { version, ...data }, { preserveScroll: true, preserveState: true });
  const pace = (offer: string | null, plan: string | null) => send({ do: 'pace', offer, plan: plan === '' ? null : plan });
  const choices = [...plans.map((name) => ({ value: name, label: name })), { value: '', label: AT_ONCE }];
  return (
    <Modal opened onClose={onClose} title={say('edits.plans_dialog.release_plans')} size="lg">
      <FocusBack />
      <div className={ui.review}>
        {plans.length === 0 ? (
          <p className={ui.soft}>{say('edits.plans_dialog.no_release_plan_yet')}</p>
        ) : (
          <ul className={css.planlist}>
            {plans.map((name) => (
              <li key={name}>
                <div className={css.planline}>
                  <b>{name}</b>
                  <span>{paced(name, mainPlan, offers)}</span>
                  {(['rename', 'duplicate', 'delete'] as const).map((act) => (
                    <button key={act} type="button" className={clsx(ui.linklike, css.linklike)} aria-label={`${act} ${name}`} onClick={() => setOpen({ plan: name, act })}>
                      {act}
                    </button>
                  ))}
                </div>
                {open?.plan === name && open.act === 'delete' && (
                  <DeletePlan name={name} plans={plans} users={offers.filter(({ plan }) => plan === name).length} onClose={() => setOpen(null)} onDelete={(instead) => [setOpen(null), send({ do: 'delete', name, instead })]} />
                )}
                {open?.plan === name && open.act !== 'delete' && <NamePlan key={open.act} course={course} version={version} act={open.act} plan={name} onClose={() => setOpen(null)} />}
              </li>
            ))}
          </ul>
        )}
        <NamePlan course={course} version={version} act="make" plan={null} onClose={() => undefined} />
        {plans.length > 0 && (
          <fieldset className={css.paces}>
            <legend>{say('edits.plans_dialog.who_paced_by_which')}</legend>
            <Select
              label={say('edits.plans_dialog.whoever_has_no_pass')}
              data={[...plans.map((name) => ({ value: name, label: name })), { value: '', label: say('edits.plans_dialog.no_plan_no_dates') }]}
              value={mainPlan ?? ''}
              allowDeselect={false}
              onChange={(plan) => pace(null, plan)}
            />
            {offers.map((offer) => (
              <Select key={offer.key} label={offer.title} data={choices} value={offer.plan ?? ''} allowDeselect={false} onChange={(plan) => pace(offer.key, plan)} />
            ))}
          </fieldset>
        )}
        <div className={ui['review-acts']}>
          <span className={ui.soft}>{say('edits.plans_dialog.kept_in_draft_one')}</span>
          <Button onClick={onClose}>{say('edits.plans_dialog.done')}</Button>
        </div>
      </div>
    </Modal>
  );
}

function paced(name: string, mainPlan: string | null, offers: OfferPick[]): string {
  const users = offers.filter(({ plan }) => plan === name).map(({ title }) => title);
  const parts = [...(mainPlan === name ? [say('edits.plans_dialog.the_main_plan')] : []), ...(users.length > 0 ? [say('edits.plans_dialog.paces', { offers: users.join(', ') })] : [])];
  return parts.length === 0 ? say('edits.plans_dialog.nobody_paced_by') : parts.join('; ');
}

interface NamePlanProps {
  course: string;
  version: number;
  act: 'make' | 'rename' | 'duplicate';
  /** The one that is renamed or duplicated. */
  plan: string | null;
  onClose: () => void;
}

function NamePlan({ course, version, act, plan, onClose }: NamePlanProps) {
  const form = useForm({ name: act === 'rename' ? (plan ?? '') : act === 'duplicate' ? say('edits.plans_dialog.plan_copy', { plan: plan ?? '' }) : '' });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const { name } = form.data;
    form.transform(() => ({ version, ...(act === 'rename' ? { do: 'rename', name: plan, to: name } : { do: 'make', name, like: act === 'duplicate' ? plan : null }) }));
    form.post(to('keep.draft.plans', { course }), {
      preserveScroll: true,
      preserveState: true,
      onSuccess: () => {
        form.reset();
        onClose();
      },
    });
  };
  const errors: Record<string, string | undefined> = form.errors;
  return (
    <form className={css.planname} onSubmit={submit} noValidate>
      <TextInput
        label={act === 'make' ? say('edits.plans_dialog.name_new_plan') : act === 'rename' ? say('edits.plans_dialog.another_name_for_plan', { plan: plan ?? '' }) : say('edits.plans_dialog.name_copy_plan', { plan: plan ?? '' })}
        data-autofocus={act !== 'make' || undefined}
        maxLength={60}
        value={form.data.name}
        error={errors['name'] ?? errors['to']}
        onChange={(event) => form.setData('name', event.currentTarget.value)}
      />
      <Button type="submit" variant="default" loading={form.processing}>
        {act === 'make' ? say('edits.plans_dialog.make_the_plan') : act === 'rename' ? say('edits.plans_dialog.rename') : say('edits.plans_dialog.duplicate')}
      </Button>
      {act !== 'make' && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onClose}>
          {say('keep.leave')}
        </button>
      )}
    </form>
  );
}

interface DeletePlanProps {
  name: string;
  plans: string[];
  /** How many offers it paces. */
  users: number;
  onDelete: (instead: string | null) => void;
  onClose: () => void;
}

function DeletePlan({ name, plans, users, onDelete, onClose }: DeletePlanProps) {
  const [instead, setInstead] = useState('');
  return (
    <div className={css.planname}>
      <Select
        label={users === 0 ? say('edits.plans_dialog.its_openings_and_closings') : say('edits.plans_dialog.its_openings_and_closings_go')}
        data={[{ value: '', label: AT_ONCE }, ...plans.filter((other) => other !== name).map((other) => ({ value: other, label: other }))]}
        value={instead}
        allowDeselect={false}
        onChange={(plan) => setInstead(plan ?? '')}
      />
      <Button color="red" onClick={() => onDelete(instead === '' ? null : instead)}>
        {say('edits.plans_dialog.delete_name', { name })}
      </Button>
      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onClose}>
        {say('edits.plans_dialog.keep_it')}
      </button>
    </div>
  );
}
