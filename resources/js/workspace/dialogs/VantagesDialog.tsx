import { useForm, router } from '@inertiajs/react';
import { Button, Modal, Select, TextInput } from '@mantine/core';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { FoundPerson, OfferPick, SavedVantages, Vantage } from '../../lib/generated/types';
import { to } from '../../lib/route';
import { labelled, labelsOf } from '../../lib/vantage';
import { useAsked } from '../../lib/useAsked';

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
    <Modal opened onClose={onClose} title="Who looks" size={720}>
      <div className="whos">
        <section>
          <h3>Columns, from the left</h3>
          {vantages.length === 0 && <p className="soft">No column is left. Add one, or go back to the usual ones.</p>}
          <ol className="planlist">
            {vantages.map((vantage, index) => (
              <li key={vantage.id} className="wholine">
                <b title={vantage.name}>{vantage.title}</b>
                <span title={vantage.detail ?? ''}>{vantage.detail ?? vantage.name.slice(vantage.title.length + 2)}</span>
                <button type="button" className="linklike" aria-label={`Move ${vantage.name} up`} disabled={index === 0} onClick={() => place(index, -1)}>
                  ↑
                </button>
                <button type="button" className="linklike" aria-label={`Move ${vantage.name} down`} disabled={index === vantages.length - 1} onClick={() => place(index, 1)}>
                  ↓
                </button>
                <button type="button" className="linklike" aria-label={`Take ${vantage.name} away`} onClick={() => onShow(ids.filter((id) => id !== vantage.id))}>
                  ×
                </button>
              </li>
            ))}
          </ol>
          <button type="button" className="linklike" onClick={() => onShow(null)}>
            Back to the usual columns
          </button>
          <a href={csv}>The grid as a CSV file</a>
        </section>
        <section>
          <h3>Add a column</h3>
          <AddVantage course={course} offers={offers} onAdd={add} />
          <h3>Kept under a name</h3>
          <SavedSets course={course} ids={ids} saved={saved} onShow={onShow} />
        </section>
      </div>
    </Modal>
  );
}

const KINDS = [
  { value: 'person', label: 'A person' },
  { value: 'holder', label: 'A holder of an offer, on a day' },
  { value: 'visitor', label: 'A visitor' },
  { value: 'guest', label: 'A guest' },
  { value: 'member', label: 'Somebody signed in, without a pass' },
];

function AddVantage({ course, offers, onAdd }: { course: string; offers: OfferPick[]; onAdd: (id: string) => void }) {
  const [kind, setKind] = useState('person');
  const [offer, setOffer] = useState(offers[0]?.key ?? '');
  const [finished, setFinished] = useState(false);
  const [labels, setLabels] = useState('');
  const kinds = offers.length === 0 ? KINDS.filter(({ value }) => value !== 'holder') : KINDS;
  const holder = `${labelled(labelsOf(labels))}${finished ? 'diligent' : 'holder'}:${DAY_AT_FIRST}:${offer}`;
  return (
    <div className="whoadd">
      <Select aria-label="What kind of viewer" data={kinds} value={kind} allowDeselect={false} onChange={(value) => setKind(value ?? 'person')} />
      {kind === 'person' && <PersonSearch course={course} onPick={(person) => onAdd(`person:${person.id}`)} onObserve={(person) => onAdd(`observer:person:${person.id}`)} />}
      {kind === 'holder' && (
        <>
          <Select aria-label="Offer" data={offers.map(({ key, title }) => ({ value: key, label: title }))} value={offer} allowDeselect={false} onChange={(value) => setOffer(value ?? '')} />
          <TextInput aria-label="Labels that they have besides, divided by commas" placeholder="with labels, divided by commas" maxLength={200} value={labels} onChange={(event) => setLabels(event.currentTarget.value)} />
          <label className="tick">
            <input type="checkbox" checked={finished} onChange={(event) => setFinished(event.currentTarget.checked)} /> has finished everything so far
          </label>
          <div className="whobuttons">
            <Button size="xs" onClick={() => onAdd(holder)}>
              Add the holder
            </Button>
            <Button size="xs" variant="default" onClick={() => onAdd(`observer:${holder}`)}>
              Add their observer
            </Button>
          </div>
        </>
      )}
      {kind !== 'person' && kind !== 'holder' && (
        <div className="whobuttons">
          <Button size="xs" onClick={() => onAdd(kind)}>
            Add the column
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
      <TextInput aria-label="Name or e-mail" placeholder="Name or e-mail" data-autofocus value={typed} onChange={(event) => setTyped(event.currentTarget.value)} />
      <p className="vh" role="status">
        {state === 'ready' ? `${people.length} found` : ''}
      </p>
      {state === 'failed' && <p className="takes">The search could not be made. Please try again.</p>}
      {state === 'ready' && people.length === 0 && <p className="soft">Nobody is called that.</p>}
      <ul className="found">
        {people.map((person) => (
          <li key={person.id}>
            <span title={person.email}>
              <b>{person.name}</b> {person.email}
            </span>
            <button type="button" className="linklike" aria-label={`Add ${person.name}`} onClick={() => onPick(person)}>
              Add
            </button>
            <button type="button" className="linklike" aria-label={`Add an observer of ${person.name}`} onClick={() => onObserve(person)}>
              Add an observer
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
      <ul className="found">
        {saved.map((set) => (
          <li key={set.id}>
            <button type="button" className="linklike" onClick={() => onShow(set.vantages)}>
              {set.name}
            </button>
            <span>{set.vantages.length === 1 ? '1 column' : `${set.vantages.length} columns`}</span>
            <button
              type="button"
              className="linklike"
              aria-label={`Forget ${set.name}`}
              onClick={() => router.delete(to('keep.vantages.forget', { course, set: set.id }), { preserveScroll: true, preserveState: true })}
            >
              Forget
            </button>
          </li>
        ))}
      </ul>
      <form
        className="planname"
        onSubmit={(event) => {
          event.preventDefault();
          form.transform((data) => ({ ...data, vantages: ids }));
          form.post(to('keep.vantages.save', { course }), { preserveScroll: true, preserveState: true, onSuccess: () => form.reset() });
        }}
      >
        <TextInput
          label="Keep these columns as"
          maxLength={60}
          value={form.data.name}
          error={form.errors.name ?? form.errors.vantages}
          onChange={(event) => form.setData('name', event.currentTarget.value)}
        />
        <Button type="submit" size="xs" variant="default" h={36} loading={form.processing} disabled={ids.length === 0}>
          {replaces ? 'Replace' : 'Keep'}
        </Button>
      </form>
    </>
  );
}
