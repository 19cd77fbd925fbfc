@props(['p', 'back' => null])
@use('App\Words\Say')
{{-- The frame of the school's side without its scripts; see resources/js/learn/LearnerShell.tsx. --}}
<div class="_learn_ui">
    <a href="#main" class="_skip_learn">{{ Say::text('learn.shell.skip') }}</a>
    <header class="_ltop_learn">
        <div class="_lwide_learn">
            <a href="/" class="_lname_learn">{{ $p['school']['name'] }}</a>
            @if ($p['signedIn'] !== null)
                @if ($p['signedIn']['staff'])
                    <a href="{{ route('keep.courses', [], false) }}">{{ Say::text('learn.shell.run') }}</a>
                @else
                    <a href="{{ route('courses', [], false) }}">{{ Say::text('learn.shell.mine') }}</a>
                @endif
            @endif
            <p>
                @if ($p['signedIn'] === null)
                    <a href="{{ $back === null ? route('sign-in', [], false) : route('sign-in', ['back' => $back], false) }}">{{ Say::text('learn.sign_in') }}</a>
                @else
                    {{ Say::text('learn.shell.signed_in_as', ['name' => $p['signedIn']['name']]) }}
                @endif
            </p>
        </div>
    </header>
    @if (($p['flash']['text'] ?? '') !== '')
        <div role="status" class="_flash_ui"><p><b>{{ $p['flash']['text'] }}</b></p></div>
    @endif
    <main class="_lwide_learn" id="main" tabindex="-1">
        <p class="_zonenote_learn" data-zone="{{ $p['school']['zone'] }}" @if ($p['school']['knowsReader']) data-knew @endif hidden>{{ Say::text('learn.shell.zone', ['zone' => $p['school']['zoneName']]) }}</p>
        {{ $slot }}
    </main>
    @if ($p['signedIn'] === null)
        <footer>
        <form class="_lwide_learn _lfoot_learn" method="post" action="{{ route('language', [], false) }}">
            @csrf
            @foreach (['en', 'nb'] as $language)
                <button name="language" value="{{ $language }}" lang="{{ $language }}" aria-pressed="{{ app()->getLocale() === $language ? 'true' : 'false' }}">{{ Say::text("learn.account.language_{$language}") }}</button>
            @endforeach
        </form>
        </footer>
    @endif
    @if ($p['signedIn'] !== null)
        <noscript>
            <form method="post" action="{{ route('sign-out', [], false) }}" class="_lwide_learn">@csrf<button class="_button_plain _quiet_plain">{{ Say::text('learn.shell.sign_out') }}</button></form>
        </noscript>
    @endif
</div>
