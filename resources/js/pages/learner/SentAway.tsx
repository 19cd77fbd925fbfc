import { LearnerShell } from '../../ui/LearnerShell';

/** In the place of a page, for whoever stands in: its viewer is sent elsewhere and sees no notice. */
export default function SentAway({ address }: { address: string }) {
  return (
    <LearnerShell title="Sent elsewhere">
      <h1>Sent elsewhere</h1>
      <p className="notice-text">{address === '' ? 'Whoever comes here so is sent to sign in, and comes back.' : `Whoever comes here so is sent to ${address}.`}</p>
    </LearnerShell>
  );
}
