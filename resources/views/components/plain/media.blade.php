@props(['media', 'watched' => false])
@use('App\Words\Say')
@foreach ($media as $medium)
    @continue($medium['kind'] === 'file')
    <figure class="_medium_learn">
        {{-- With scripts the player of the page takes its place; what is to be watched is counted by that one alone. --}}
        @if ($medium['kind'] === 'video') <noscript><video controls preload="metadata" width="100%" src="{{ $medium['href'] }}" @if ($medium['poster'] !== null) poster="{{ $medium['poster'] }}" @endif>@if ($medium['captions'] !== null) <track kind="captions" src="{{ $medium['captions'] }}" srclang="{{ $medium['language'] }}"> @endif</video></noscript>
        @elseif ($medium['kind'] === 'audio') <noscript><audio controls preload="metadata" src="{{ $medium['href'] }}"></audio></noscript>
        @else <img src="{{ $medium['href'] }}" alt="{{ $medium['title'] }}" @if ($medium['width'] !== null) width="{{ $medium['width'] }}" height="{{ $medium['height'] }}" @endif @if (! $loop->first) loading="lazy" @endif> @endif
        <figcaption>{{ $medium['title'] }}</figcaption>
    </figure>
@endforeach
@if (in_array('file', array_column($media, 'kind'), true))
    <section class="_files_learn"><h2>{{ Say::text('learn.media.download') }}</h2><ul>@foreach ($media as $medium)@if ($medium['kind'] === 'file')<li><a href="{{ $medium['href'] }}" download>{{ $medium['title'] }}</a> <span>{{ $medium['size'] }}</span></li>@endif
@endforeach</ul></section>
@endif
