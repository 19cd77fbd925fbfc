@use('App\Words\Say')
@php($what = match (true) { $p['why'] === 'not begun' => 'not_begun', in_array($p['why'], ['busy', 'full'], true) => $p['why'], in_array($p['why'], ['guest link', 'guest hidden'], true) => str_replace(' ', '_', $p['why']), in_array($p['status'], [403, 404, 413, 422, 429, 500, 503], true) => (string) $p['status'], default => 'otherwise' })
<div class="_signin_ui">
    <main class="_errorpage_ui">
        <h1>{{ Say::text("learn.error.{$what}") }}</h1>
        <p>{{ Say::text("learn.error.{$what}_text") }}</p>
        @if (($p['contact'] ?? null) !== null) <x-plain.ask :name="$p['contact']['name']" :email="$p['contact']['email']" /> @endif
        @if ($p['why'] !== 'not begun') <p><a href="/">{{ Say::text('learn.error.home') }}</a></p> @endif
    </main>
</div>
