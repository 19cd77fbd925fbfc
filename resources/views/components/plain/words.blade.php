@props(['sentence'])
{!! implode('', array_map(static fn (array $part): string => $part['title'] ? '<em>'.e($part['text']).'</em>' : e($part['text']), $sentence['segments'])) !!}
