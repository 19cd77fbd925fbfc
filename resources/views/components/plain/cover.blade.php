@props(['cover', 'class', 'sizes', 'first' => false])
<img class="{{ $class }}" src="{{ $cover['address'] }}" @if ($cover['sources'] !== null) srcset="{{ $cover['sources'] }}" sizes="{{ $sizes }}" @endif alt="{{ $cover['alt'] }}" width="340" height="170" style="object-position: {{ $cover['focus'] }}" @if (! $first) loading="lazy" @endif decoding="async">
