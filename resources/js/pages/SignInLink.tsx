import { Head, Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { useState } from 'react';

import { Mark } from '../glyphs/Arch';
import { useShared } from '../lib/page';

export default function SignInLink({ token, name }: { token: string; name: string | null }) {
  const { school } = useShared();
  const [going, setGoing] = useState(false);
  return (
    <div className="signin">
      <Head title="Sign in" />
      <main className="errorpage">
        <Mark />
        <h1>{school.name}</h1>
        {name === null ? (
          <>
            <p>This link has been used, or is over.</p>
            <p>
              <Link href="/sign-in">Sign in, or ask for another link</Link>
            </p>
          </>
        ) : (
          <>
            <p>You are {name}.</p>
            <Button loading={going} onClick={() => router.post(`/sign-in/link/${token}`, {}, { onStart: () => setGoing(true), onFinish: () => setGoing(false) })}>
              Sign in
            </Button>
          </>
        )}
      </main>
    </div>
  );
}
