@props(['glyph', 'look' => false, 'size' => 20, 'silent' => false])
@use('App\Words\Say')
@php($words = $look ? Say::text('learn.state.look', ['state' => Say::text("learn.state.{$glyph}")]) : Say::text("learn.state.{$glyph}"))
<svg class="_arch_ui _arch-{{ $glyph }}_ui" viewBox="0 0 18 22" width="{{ $size }}" height="{{ round($size * 22 / 18, 2) }}" @if ($silent) aria-hidden="true" @else role="img" aria-label="{{ $words }}" @endif><use href="/glyphs.svg#{{ $glyph }}"/>@if ($look) <path d="M5.6 20.9h6.8" stroke="currentColor" stroke-width="1.7"/> @endif</svg>
