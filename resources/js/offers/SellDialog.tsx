import { useForm } from '@inertiajs/react';

import { useShared } from '../lib/page';
import type { OfferRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';
import { SellingFields, sellingOf } from './SellingFields';
import ui from '../ui/ui.module.css';

export function SellDialog({ offer, offers, onClose }: { offer: OfferRow; offers: { key: string; name: string }[]; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm(sellingOf(offer, school.currency));
  return (
    <DialogForm title={say('offers.sell_dialog.the_sale_of_name', { name: offer.name })} size={560} keep={say('keep.save')} busy={form.processing} onKeep={() => form.put(to('keep.offers.sell', { offer: offer.id }), { preserveScroll: true, preserveState: true, onSuccess: onClose })} onLeave={onClose}>
      <SellingFields data={form.data} errors={form.errors} offers={offers.filter(({ key }) => key !== offer.key)} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />
      <p className={ui.soft}>{say('offers.sell_dialog.this_changes_at_once')}</p>
    </DialogForm>
  );
}
