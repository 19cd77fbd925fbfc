import { useForm, router } from '@inertiajs/react';
import { Button, Modal, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { FoundPerson, OfferPick, SavedVantages, Vantage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { labelled, labelsOf } from '../../lib/vantage';
import { useAsked } from '../../lib/useAsked';
import css from '../workspace.module.css';
import { FocusBack } from '../../ui/FocusBack';
import ui from '../../ui/ui.module.css';

export interface VantagesDialogProps {
  course: string;
  offers: OfferPick[];
  vantages: Vantage[];
  saved: SavedVantages[];
  /** The vantages that are to be shown, as addresses name them; null: the usual ones. */
  onShow: (vantages: string[] | null) => void;
  /** Of the grid as a file. */
  csv: string;
  onClose: () => void;
}

const DAY_AT_FIRST = 3;

/** Who looks: the columns of Sightlines, in order, and the sets kept under a name. */
export function VantagesDialog({ course, offers, vantages, saved, onShow, csv, onClose }: VantagesDialogProps) {
  const ids = vantages.map(({ id }) => id);
  const place = (index: number, by: -1 | 1) => {
    const next = [...ids];
    next.splice(index + by, 0, ...next.splice(index, 1));
    onShow(next);
  };
  const add = (id: string) => {
    if (!ids.includes(id)) {
      onShow([...ids, id]);
    }
  };
  return (
    <Modal opened onClose={onClose} title={say('edits.vantages_dialog.who_looks')} size={720}>
      <FocusBack />
      <div className={css.whos}>
        <section>
          <h3>{say('edits.vantages_dialog.columns_from_the_left')}</h3>
          {vantages.length === 0 && <p className={ui.soft}>{say('edits.vantages_dialog.no_column_left_add')}</p>}
          <ol className={css.planlist}>
            {vantages.map((vantage, index) => (
              <li key={vantage.id} className={css.wholine}>
                <b title={vantage.name}>{vantage.title}</b>
                <span title={vantage.detail ?? ''}>{vantage.detail ?? vantage.name.slice(vantage.title.length + 2)}</span>
                <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('edits.vantages_dialog.move_name_up', { name: vantage.name })} disabled={index === 0} onClick={() => place(index, -1)}>
                  ↑
                </button>
                <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('edits.vantages_dialog.move_name_down', { name: vantage.name })} disabled={index === vantages.length - 1} onClick={() => place(index, 1)}>
                  ↓
                </button>
                <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('edits.vantages_dialog.take_name_away', { name: vantage.name })} onClick={() => onShow(ids.filter((id) => id !== vantage.id))}>
                  ×
                </button>
              </li>
            ))}
          </ol>
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onShow(null)}>
            {say('edits.vantages_dialog.back_usual_columns')}
          </button>
          <a href={csv}>{say('edits.vantages_dialog.grid_as_csv_file')}</a>
        </section>
        <section>
          <h3>{say('edits.vantages_dialog.add_a_column')}</h3>
          <AddVantage course={course} offers={offers} onAdd={add} />
          <h3>{say('edits.vantages_dialog.kept_under_a_name')}</h3>
          <SavedSets course={course} ids={ids} saved={saved} onShow={onShow} />
        </section>
      </div>
    </Modal>
  );
}

const KINDS = [
  { value: 'person', label: say('edits.vantages_dialog.a_person') },
  { value: 'holder', label: say('edits.vantages_dialog.holder_offer_on_day') },
  { value: 'visitor', label: say('edits.vantages_dialog.a_visitor') },
  { value: 'guest', label: say('edits.vantages_dialog.a_guest') },
  { value: 'member', label: say('edits.vantages_dialog.somebody_signed_in_without') },
];

function AddVantage({ course, offers, onAdd }: { course: string; offers: OfferPick[]; onAdd: (id: string) => void }) {
  const [kind, setKind] = useState('person');
  const [offer, setOffer] = useState(offers[0]?.key ?? '');
  const [finished, setFinished] = useState(false);
  const [labels, setLabels] = useState('');
  const kinds = offers.length === 0 ? KINDS.filter(({ value }) => value !== 'holder') : KINDS;
  const holder = `${labelled(labelsOf(labels))}${finished ? 'diligent' : 'holder'}:${DAY_AT_FIRST}:${offer}`;
  return (
    <div className={css.whoadd}>
      <Select aria-label={say('edits.vantages_dialog.what_kind_of_viewer')} data={kinds} value={kind} allowDeselect={false} onChange={(value) => setKind(value ?? 'person')} />
      {kind === 'person' && <PersonSearch course={course} onPick={(person) => onAdd(`person:${person.id}`)} onObserve={(person) => onAdd(`observer:person:${person.id}`)} />}
      {kind === 'holder' && (
        <>
          <Select aria-label={say('keep.offer')} data={offers.map(({ key, title }) => ({ value: key, label: title }))} value={offer} allowDeselect={false} onChange={(value) => setOffer(value ?? '')} />
          <TextInput aria-label={say('edits.vantages_dialog.labels_that_they_have')} placeholder={say('edits.vantages_dialog.with_labels_divided_by')} maxLength={200} value={labels} onChange={(event) => setLabels(event.currentTarget.value)} />
          <label className={ui.tick}>
            <input type="checkbox" checked={finished} onChange={(event) => setFinished(event.currentTarget.checked)} /> {say('edits.vantages_dialog.finished_so_far')}
          </label>
          <div className={css.whobuttons}>
            <Button size="xs" onClick={() => onAdd(holder)}>
              {say('edits.vantages_dialog.add_the_holder')}
            </Button>
            <Button size="xs" variant="default" onClick={() => onAdd(`observer:${holder}`)}>
              {say('edits.vantages_dialog.add_their_observer')}
            </Button>
          </div>
        </>
      )}
      {kind !== 'person' && kind !== 'holder' && (
        <div className={css.whobuttons}>
          <Button size="xs" onClick={() => onAdd(kind)}>
            {say('edits.vantages_dialog.add_the_column')}
          </Button>
        </div>
      )}
    </div>
  );
}

export interface PersonSearchProps {
  course: string;
  onPick: (person: FoundPerson) => void;
  onObserve: (person: FoundPerson) => void;
}

/** Finds people while their name is being typed. */
function PersonSearch({ course, onPick, onObserve }: PersonSearchProps) {
  const [typed, setTyped] = useState('');
  const wanted = typed.trim();
  const { last, state } = useAsked<FoundPerson[]>(wanted === '' ? null : withQuery(to('keep.people', { course }), { q: wanted }), undefined, 150);
  const people = wanted === '' ? [] : (last ?? []);
  return (
    <>
      <TextInput aria-label={say('keep.name_or_e_mail')} placeholder={say('keep.name_or_e_mail')} data-autofocus value={typed} onChange={(event) => setTyped(event.currentTarget.value)} />
      <p className={ui.vh} role="status">
        {state === 'ready' ? say('edits.vantages_dialog.found', { length: people.length }) : ''}
      </p>
      {state === 'failed' && <p className={ui.takes}>{say('edits.vantages_dialog.search_could_not_be')}</p>}
      {state === 'ready' && people.length === 0 && <p className={ui.soft}>{say('edits.vantages_dialog.nobody_is_called_that')}</p>}
      <ul className={ui.found}>
        {people.map((person) => (
          <li key={person.id}>
            <span title={person.email}>
              <b>{person.name}</b> {person.email}
            </span>
            <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('edits.vantages_dialog.add_name', { name: person.name })} onClick={() => onPick(person)}>
              {say('edits.vantages_dialog.add')}
            </button>
            <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('edits.vantages_dialog.add_observer_of', { name: person.name })} onClick={() => onObserve(person)}>
              {say('edits.vantages_dialog.add_an_observer')}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function SavedSets({ course, ids, saved, onShow }: { course: string; ids: string[]; saved: SavedVantages[]; onShow: (vantages: string[]) => void }) {
  const form = useForm({ name: '', vantages: ids });
  const replaces = saved.some(({ name }) => name === form.data.name.trim());
  return (
    <>
      <ul className={ui.found}>
        {saved.map((set) => (
          <li key={set.id}>
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onShow(set.vantages)}>
              {set.name}
            </button>
            <span>{say('edits.vantages_dialog.columns', { length: set.vantages.length })}</span>
            <button
              type="button"
              className={clsx(ui.linklike, css.linklike)}
              aria-label={say('edits.vantages_dialog.forget_name', { name: set.name })}
              onClick={() => router.delete(to('keep.vantages.forget', { course, set: set.id }), { preserveScroll: true, preserveState: true })}
            >
              {say('edits.vantages_dialog.forget')}
            </button>
          </li>
        ))}
      </ul>
      <form
        className={css.planname}
        onSubmit={(event) => {
          event.preventDefault();
          form.transform((data) => ({ ...data, vantages: ids }));
          form.post(to('keep.vantages.save', { course }), { preserveScroll: true, preserveState: true, onSuccess: () => form.reset() });
        }}
      >
        <TextInput
          label={say('edits.vantages_dialog.keep_these_columns_as')}
          maxLength={60}
          value={form.data.name}
          error={form.errors.name ?? form.errors.vantages}
          onChange={(event) => form.setData('name', event.currentTarget.value)}
        />
        <Button type="submit" size="xs" variant="default" h={36} loading={form.processing} disabled={ids.length === 0}>
          {replaces ? say('edits.vantages_dialog.replace') : say('edits.vantages_dialog.keep')}
        </Button>
      </form>
    </>
  );
}
