@use('App\Http\Plain\KeepFrame')
@use('App\Words\Say')
{{-- The frame of the administrator's side until its scripts are there; see resources/js/ui/KeepShell.tsx. --}}
@php($here = '/'.request()->path())
@php($heading = KeepFrame::heading($component, $p))
<div class="_keep_ui">
    <header class="_top_ui">
        <a href="{{ route('keep.today', [], false) }}" class="_brand_ui"><svg viewBox="0 0 18 22" width="16" height="20" aria-hidden="true"><g fill="none" stroke="currentColor" stroke-width="1.6"><path d="M2.2 17.4V9a6.8 6.8 0 0 1 13.6 0v8.4"/><path d="M5.9 17.4V9.4a3.1 3.1 0 0 1 6.2 0v8"/><path d="M.4 18.2h17.2"/></g></svg> {{ Say::text('keep.product') }}</a>
        <nav aria-label="{{ Say::text('keep.keep_shell.main') }}">
            <ul class="_nav_ui">
                @foreach (KeepFrame::places(is_string($p['signedIn']['role'] ?? null) ? $p['signedIn']['role'] : null) as $route => $place)
                    <li><a href="{{ $address = route($route, [], false) }}" @if (str_starts_with($here, $address)) aria-current="page" @endif>{{ $place }}</a></li>
                @endforeach
            </ul>
        </nav>
        <p class="_who_ui"><span class="_whose_ui"><b>{{ $p['school']['name'] ?? '' }}</b>, {{ $p['school']['zoneName'] ?? '' }}</span> · <a href="{{ route('account', [], false) }}">{{ $p['signedIn']['name'] ?? '' }}</a> · <button type="button" class="_linklike_ui" disabled>{{ Say::text('keep.keep_shell.sign_out') }}</button> · <kbd>{{ Say::text('keep.keys.ctrl_k') }}</kbd> <button type="button" class="_linklike_ui" disabled>{{ Say::text('keep.find.somebody') }}</button> · <a href="{{ route('keep.guide', [], false) }}">{{ Say::text('keep.keep_shell.guide') }}</a> · <kbd>{{ Say::text('keep.keys.question') }}</kbd> <button type="button" class="_linklike_ui" disabled>{{ Say::text('keys.keys') }}</button></p>
    </header>
    @if ($component === 'keep/Workspace')
        <section class="_head_ui" aria-label="{{ Say::text('keep.keep_shell.about') }}"><div class="_coursehead_workspace">
            <div class="_title_ui"><h1>{{ $heading }}</h1></div>
            <div class="_doorline_workspace"><p class="_doors_ui"><x-plain.words :sentence="['segments' => $p['course']['doors'] ?? []]" titles="b" /></p>@if (($p['mayEdit'] ?? false) === true)<button type="button" class="_linklike_ui _linklike_workspace" disabled>{{ Say::text('workspace.course_head_line.change') }}</button>@endif</div>
        </div></section>
    @endif
    <main class="_plainpage_ui" aria-busy="true">
        @if ($heading !== null && $component !== 'keep/Workspace') <div class="_pagehead_ui"><h1>{{ $heading }}</h1></div> @endif
        <noscript><p>{{ Say::text('keep.needs_scripts') }}</p></noscript>
    </main>
</div>
