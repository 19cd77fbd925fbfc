@use('App\Words\Say')
<div class="_signin_ui">
    <main class="_errorpage_ui">
        <h1>{{ $p['school']['name'] }}</h1>
        @if ($p['name'] === null)
            <p>{{ Say::text('learn.door.over') }}</p>
            <p><a href="{{ route('sign-in', [], false) }}">{{ Say::text('learn.door.other_link') }}</a></p>
        @else
            <p>{{ Say::text('learn.door.you_are', ['name' => $p['name']]) }}</p>
            <noscript><form method="post" action="{{ route('sign-in.link', ['token' => $p['token']], false) }}">@csrf<button class="_button_plain">{{ Say::text('learn.sign_in') }}</button></form></noscript>
        @endif
    </main>
</div>
