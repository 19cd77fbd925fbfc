@use('App\Words\Say')
<div class="_signin_ui">
    <main>
        <div class="_signin-door_ui">
            <p class="_signin-school_ui">{{ $p['school']['name'] }}</p>
            <h1>{{ Say::text('learn.sign_in') }}</h1>
            @if (($p['flash']['text'] ?? '') !== '') <p role="status"><b>{{ $p['flash']['text'] }}</b></p> @endif
            <noscript>
                <form method="post" action="{{ route('sign-in', [], false) }}">
                    @csrf
                    <x-plain.field :p="$p" name="email" :label="Say::text('learn.door.email')" type="email" autocomplete="username" />
                    <x-plain.field :p="$p" name="password" :label="Say::text('learn.door.password')" type="password" autocomplete="current-password" />
                    <button class="_button_plain">{{ Say::text('learn.sign_in') }}</button>
                    <button class="_button_plain _quiet_plain" formaction="{{ route('sign-in.send', [], false) }}">{{ Say::text('learn.door.no_password') }}</button>
                </form>
            </noscript>
        </div>
    </main>
</div>
