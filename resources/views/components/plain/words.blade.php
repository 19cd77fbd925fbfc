@props(['sentence', 'titles' => 'em'])
{!! implode('', array_map(static fn (array $part): string => $part['title'] ? "<{$titles}>".e($part['text'])."</{$titles}>" : e($part['text']), $sentence['segments'])) !!}
