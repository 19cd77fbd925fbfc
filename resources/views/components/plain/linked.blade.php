@props(['say', 'href', 'title'])
@use('App\Words\Say')
{{-- A sentence in which the title alone is a link, as `saying` has it in scripts. --}}
@php([$before, $after] = [...explode("\u{E000}", Say::text($say, ['item' => "\u{E000}"]), 2), ''])
{{ $before }}<a href="{{ $href }}">{{ $title }}</a>{{ $after }}
