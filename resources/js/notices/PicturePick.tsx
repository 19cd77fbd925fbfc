import { Button, FileInput, Modal, TextInput } from '@mantine/core';
import { useState } from 'react';

import type { ShownPicture } from '../lib/generated/types';
import { withQuery } from '../lib/address';
import { sendFile } from '../lib/http';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import css from './notices.module.css';
import ui from '../ui/ui.module.css';

interface Props {
  /** What stands for it; empty: none is chosen. */
  token: string;
  label: string;
  error: string | undefined;
  disabled: boolean;
  onPick: (token: string) => void;
}

/** One of the pictures of the school, or a new one. */
export function PicturePick({ token, label, error, disabled, onPick }: Props) {
  const [open, setOpen] = useState(false);
  // Asked again once another one is picked: it may be new.
  const { last: pictures } = useAsked<ShownPicture[]>(open || token !== '' ? withQuery(to('keep.pictures'), { with: token }) : null, undefined, 0);
  const picked = pictures?.find((picture) => picture.token === token);
  return (
    <div className={css.pick}>
      {picked !== undefined && <img src={picked.address} alt={picked.title} width={120} />}
      {!disabled && (
        <Button size="xs" variant="default" onClick={() => setOpen(true)}>
          {say(token === '' ? 'notices.pictures.choose' : 'notices.pictures.another')}
          <span className={ui.vh}>: {label}</span>
        </Button>
      )}
      {error !== undefined && <p className={ui.wrongly}>{error}</p>}
      {open && (
        <PictureDialog
          pictures={pictures}
          onClose={() => setOpen(false)}
          onPick={(one) => {
            onPick(one);
            setOpen(false);
          }}
        />
      )}
    </div>
  );
}

interface DialogProps {
  pictures: ShownPicture[] | null;
  onPick: (token: string) => void;
  onClose: () => void;
}

function PictureDialog({ pictures, onPick, onClose }: DialogProps) {
  const [file, setFile] = useState<File | null>(null);
  const [title, setTitle] = useState('');
  const [busy, setBusy] = useState(false);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const put = async () => {
    setBusy(true);
    const { body, errors: refused, status } = await sendFile<ShownPicture>(to('keep.pictures.keep'), { title }, file);
    setBusy(false);
    if (body === null) {
      setErrors(status === 0 ? { file: say('notices.pictures.unreached') } : refused);
    } else {
      onPick(body.token);
    }
  };
  return (
    <Modal opened onClose={onClose} title={say('notices.pictures.title')} size={640}>
      <form
        className={ui.review}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          event.stopPropagation();
          void put();
        }}
      >
        <FileInput label={say('notices.pictures.file')} description={say('notices.pictures.file_told')} accept="image/jpeg,image/png,image/webp,image/gif" clearable value={file} error={errors.file} onChange={setFile} />
        <TextInput label={say('notices.pictures.shows')} description={say('notices.pictures.shows_told')} maxLength={200} value={title} error={errors.title} onChange={(event) => setTitle(event.currentTarget.value)} />
        <div className={ui['review-acts']}>
          <Button type="submit" loading={busy}>
            {say('notices.pictures.put')}
          </Button>
        </div>
      </form>
      {pictures !== null && pictures.length > 0 && (
        <>
          <h3>{say('notices.pictures.known')}</h3>
          <ul className={css.pictures}>
            {pictures.map((picture) => (
              <li key={picture.token}>
                <button type="button" onClick={() => onPick(picture.token)} title={picture.title}>
                  <img src={picture.address} srcSet={picture.sources} sizes="140px" alt={picture.title} loading="lazy" />
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Modal>
  );
}
