import { LearnerShell } from '../../learn/LearnerShell';
import { say } from '../../lib/say';
import css from '../../learn/learn.module.css';

/** In the place of a page, for whoever stands in: its viewer is sent elsewhere and sees no notice. */
export default function SentAway({ address }: { address: string }) {
  return (
    <LearnerShell title={say('sent.title')}>
      <h1>{say('sent.title')}</h1>
      <p className={css['notice-text']}>{address === '' ? say('sent.to_sign_in') : say('sent.to', { address })}</p>
    </LearnerShell>
  );
}
