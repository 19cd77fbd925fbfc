import { Link, router } from '@inertiajs/react';
import { useState } from 'react';

import { Title } from '../learn/Title';
import { Mark } from '../ui/Arch';
import { useShared } from '../lib/page';
import { Button } from '../ui/Plain';
import { to } from '../lib/route';
import { say } from '../lib/say';
import ui from '../ui/ui.module.css';

export default function SignInLink({ token, name }: { token: string; name: string | null }) {
  const { school } = useShared();
  const [going, setGoing] = useState(false);
  return (
    <div className={ui.signin}>
      <Title of={say('sign_in')} />
      <main className={ui.errorpage}>
        <Mark />
        <h1>{school.name}</h1>
        {name === null ? (
          <>
            <p>{say('door.over')}</p>
            <p>
              <Link href={to('sign-in')}>{say('door.other_link')}</Link>
            </p>
          </>
        ) : (
          <>
            <p>{say('door.you_are', { name })}</p>
            <Button loading={going} onClick={() => router.post(to('sign-in.link', { token }), {}, { onStart: () => setGoing(true), onFinish: () => setGoing(false) })}>
              {say('sign_in')}
            </Button>
          </>
        )}
      </main>
    </div>
  );
}
