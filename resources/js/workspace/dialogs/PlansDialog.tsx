import { router, useForm } from '@inertiajs/react';
import { Button, Modal, Select, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';

import type { OfferPick } from '../../lib/generated/types';
import { to } from '../../lib/route';

const AT_ONCE = 'Everything at once';

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
    <Modal opened onClose={onClose} title="Release plans" size="lg">
      <div className="review">
        {plans.length === 0 ? (
          <p className="soft">No release plan yet: everything opens at once. A plan says when each row opens and closes; several can stand beside each other.</p>
        ) : (
          <ul className="planlist">
            {plans.map((name) => (
              <li key={name}>
                <div className="planline">
                  <b>{name}</b>
                  <span>{paced(name, mainPlan, offers)}</span>
                  {(['rename', 'duplicate', 'delete'] as const).map((act) => (
                    <button key={act} type="button" className="linklike" aria-label={`${act} ${name}`} onClick={() => setOpen({ plan: name, act })}>
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
          <fieldset className="paces">
            <legend>Who is paced by which</legend>
            <Select
              label="Whoever has no pass: visitors, guests, observers (the main plan; only its dates count for them)"
              data={[...plans.map((name) => ({ value: name, label: name })), { value: '', label: 'No plan: no dates' }]}
              value={mainPlan ?? ''}
              allowDeselect={false}
              onChange={(plan) => pace(null, plan)}
            />
            {offers.map((offer) => (
              <Select key={offer.key} label={offer.title} data={choices} value={offer.plan ?? ''} allowDeselect={false} onChange={(plan) => pace(offer.key, plan)} />
            ))}
          </fieldset>
        )}
        <div className="review-acts">
          <span className="soft">Kept in the draft, one by one; Ctrl Z takes back the last.</span>
          <Button onClick={onClose}>Done</Button>
        </div>
      </div>
    </Modal>
  );
}

function paced(name: string, mainPlan: string | null, offers: OfferPick[]): string {
  const users = offers.filter(({ plan }) => plan === name).map(({ title }) => title);
  const parts = [...(mainPlan === name ? ['the main plan'] : []), ...(users.length > 0 ? [`paces ${users.join(', ')}`] : [])];
  return parts.length === 0 ? 'nobody is paced by it' : parts.join('; ');
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
  const form = useForm({ name: act === 'rename' ? (plan ?? '') : act === 'duplicate' ? `${plan} (copy)` : '' });
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
    <form className="planname" onSubmit={submit} noValidate>
      <TextInput
        label={act === 'make' ? 'Name of a new plan' : act === 'rename' ? `Another name for ${plan}` : `Name of the copy of ${plan}`}
        data-autofocus={act !== 'make' || undefined}
        maxLength={60}
        value={form.data.name}
        error={errors['name'] ?? errors['to']}
        onChange={(event) => form.setData('name', event.currentTarget.value)}
      />
      <Button type="submit" variant="default" loading={form.processing}>
        {act === 'make' ? 'Make the plan' : act === 'rename' ? 'Rename' : 'Duplicate'}
      </Button>
      {act !== 'make' && (
        <button type="button" className="linklike" onClick={onClose}>
          Leave
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
    <div className="planname">
      <Select
        label={users === 0 ? 'Its openings and closings go with it. Instead of it, where it is the main plan:' : 'Its openings and closings go with it. Its offers are paced by:'}
        data={[{ value: '', label: AT_ONCE }, ...plans.filter((other) => other !== name).map((other) => ({ value: other, label: other }))]}
        value={instead}
        allowDeselect={false}
        onChange={(plan) => setInstead(plan ?? '')}
      />
      <Button color="red" onClick={() => onDelete(instead === '' ? null : instead)}>
        Delete {name}
      </Button>
      <button type="button" className="linklike" onClick={onClose}>
        Keep it
      </button>
    </div>
  );
}
