import { Link, router, useForm } from '@inertiajs/react';
import { Button, Checkbox, Modal, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { Ability, TokenRow, TokensPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { SetOffPage } from '../../triggers/SetOffPage';
import css from '../../triggers/triggers.module.css';
import { ShownOnce } from '../../ui/ShownOnce';
import { WallInput } from '../../ui/WallInput';
import ui from '../../ui/ui.module.css';

const ABILITIES: Ability[] = ['decide', 'read-courses', 'edit-drafts', 'publish', 'read-people', 'change-people', 'erase-people', 'record-progress', 'read-events', 'replay-events'];

/** What an ability allows, in words; patterns know no hyphen. */
const called = (ability: Ability): string => say('setoff.tokens.may', { ability: ability.replaceAll('-', '_') });

/** Tokens with which systems of others may ask: made, looked at, taken back. */
export default function Tokens({ tokens, open, secret, usualEnd }: TokensPage) {
  const [making, setMaking] = useState(false);
  const shown = tokens.find(({ id }) => id === open);
  const name = making ? say('setoff.tokens.new') : (shown?.name ?? '');
  return (
    <SetOffPage
      here="tokens"
      title={say('setoff.tokens.title')}
      told={say('setoff.tokens.told')}
      fresh={say('setoff.tokens.new')}
      onNew={() => setMaking(true)}
      mayEdit
      none={tokens.length === 0 ? [say('setoff.tokens.none'), say('setoff.tokens.none_told')] : null}
      list={tokens.map(({ id, name: of, abilities, until, over, used }) => (
        <li key={id} className={clsx(!making && id === open && css.here, over && css.off)}>
          <Link href={withQuery(to('keep.tokens'), { open: id })} aria-current={!making && id === open ? 'page' : undefined} preserveScroll>
            {of}
          </Link>
          <p>{abilities.map(called).join(', ')}</p>
          <div className={css.count}>
            <div className={over ? ui.takes : undefined}>{until === null ? say('setoff.tokens.endless') : say(over ? 'setoff.tokens.ended' : 'setoff.tokens.ends', { date: until })}</div>
            <div>{used === null ? say('setoff.tokens.unused') : say('setoff.tokens.used', { when: used })}</div>
          </div>
        </li>
      ))}
      aside={
        making || shown !== undefined
          ? {
              name,
              children: (
                <>
                  <h2>{name}</h2>
                  {making ? (
                    <Editor usualEnd={usualEnd} onMade={() => setMaking(false)} />
                  ) : (
                    shown !== undefined && (
                      <>
                        {secret !== null && <ShownOnce label={say('setoff.tokens.secret')} told={say('setoff.tokens.secret_told')} value={secret} />}
                        <Shown key={shown.id} token={shown} />
                      </>
                    )
                  )}
                </>
              ),
            }
          : null
      }
    />
  );
}

function Editor({ usualEnd, onMade }: { usualEnd: string; onMade: () => void }) {
  const form = useForm<{ name: string; abilities: Ability[]; until: string }>({ name: '', abilities: [], until: usualEnd });
  const { data, errors, setData } = form;
  return (
    <form
      className={css.editor}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(to('keep.tokens.make'), { onSuccess: onMade });
      }}
    >
      <TextInput label={say('setoff.tokens.name')} description={say('setoff.tokens.name_told')} maxLength={100} data-autofocus value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
      <Checkbox.Group label={say('setoff.tokens.abilities')} value={data.abilities} error={errors.abilities} onChange={(chosen) => setData('abilities', ABILITIES.filter((one) => chosen.includes(one)))}>
        <div className={css.choices}>
          {ABILITIES.map((ability) => (
            <Checkbox key={ability} value={ability} label={called(ability)} />
          ))}
        </div>
      </Checkbox.Group>
      <WallInput of="day" label={say('setoff.tokens.until')} description={say('setoff.tokens.until_told')} value={data.until} error={errors.until} onWall={(wall) => setData('until', wall)} />
      <div className={ui['review-acts']}>
        <Button type="submit" loading={form.processing}>
          {say('setoff.tokens.make')}
        </Button>
      </div>
    </form>
  );
}

function Shown({ token }: { token: TokenRow }) {
  const [asks, setAsks] = useState(false);
  return (
    <>
      <ul className={css.may}>
        {token.abilities.map((ability) => (
          <li key={ability}>
            {called(ability)} <code>{ability}</code>
          </li>
        ))}
      </ul>
      <p className={ui.soft}>{say('setoff.tokens.made', { owner: token.owner, date: token.made })}</p>
      <p>
        <a href={to('interface')}>{say('setoff.tokens.reference')}</a>
      </p>
      <div className={ui['review-acts']}>
        <Button variant="default" onClick={() => setAsks(true)}>
          {say('setoff.tokens.take_back')}
        </Button>
      </div>
      <Modal opened={asks} onClose={() => setAsks(false)} title={say('setoff.tokens.take_back')}>
        <p>{say('setoff.tokens.take_back_told', { name: token.name })}</p>
        <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
          <Button variant="default" onClick={() => setAsks(false)} data-autofocus>
            {say('setoff.leave')}
          </Button>
          <Button onClick={() => router.delete(to('keep.tokens.take-back', { token: token.id }), { onFinish: () => setAsks(false) })}>{say('setoff.tokens.take_back')}</Button>
        </div>
      </Modal>
    </>
  );
}
