<!doctype html>
@php($side = App\Http\Side::of(request()))
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}" @if ($side === App\Http\Side::Keep) data-mantine-color-scheme="light" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    @php($head ??= null)
    <title inertia>{{ $head->title ?? ($page['props']['school']->name ?? '') ?: 'Silent Keep' }}</title>
    @if ($head?->address !== null)
        @if ($head->description !== '')
            <meta name="description" content="{{ $head->description }}">
            <meta property="og:description" content="{{ $head->description }}">
        @endif
        <link rel="canonical" href="{{ $head->address }}">
        <meta property="og:type" content="website">
        <meta property="og:site_name" content="{{ $head->school }}">
        <meta property="og:title" content="{{ $head->title }}">
        <meta property="og:url" content="{{ $head->address }}">
        <meta property="og:image" content="{{ $head->picture }}">
        <meta property="og:image:width" content="1200">
        <meta property="og:image:height" content="630">
        <meta name="twitter:card" content="summary_large_image">
    @else
        <meta name="robots" content="noindex">
    @endif
    <link rel="icon" type="image/svg+xml" href="/mark.svg">
    @if ($side === App\Http\Side::School)
        <link rel="manifest" href="{{ route('manifest', [], false) }}">
        <meta name="theme-color" media="(prefers-color-scheme: light)" content="#FFFFFF">
        <meta name="theme-color" media="(prefers-color-scheme: dark)" content="#1A242A">
    @endif
    {{-- Both are in the first lines of every page: else they are asked for when the styles are there. --}}
    @foreach (['sans', 'serif'] as $font)
        <link rel="preload" as="font" type="font/woff2" crossorigin href="{{ Vite::asset("resources/fonts/{$font}.woff2") }}">
    @endforeach
    @viteReactRefresh
    @php($keeps = $side === App\Http\Side::Keep)
    @php($rests = ! $keeps && App\Http\Plain\PlainPages::rests($page['component'], json_decode(json_encode($page['props']), true)))
    @vite($keeps || $rests ? [$side->script()] : [$side->script(), "resources/js/pages/{$page['component']}.tsx"])
    @if ($keeps || $rests)
        @foreach (App\Http\Plain\PageParts::styles($page['component']) as $sheet)
            <link rel="stylesheet" href="{{ $sheet }}">
        @endforeach
    @endif
    @if ($keeps)
        {{-- Fetched all at once, but after what the frame is painted with: see resources/js/keep.ts. --}}
        <template id="scripts">
            @foreach (App\Http\Plain\PageParts::scripts($page['component'], 'resources/js/keepBoot.tsx') as $script)
                <link rel="modulepreload" href="{{ $script }}">
            @endforeach
        </template>
    @endif
</head>
<body>
    @inertia
</body>
</html>
