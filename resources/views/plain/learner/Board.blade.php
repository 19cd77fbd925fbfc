@use('App\Words\Say')
@php([$course, $item] = [$p['course'], $p['item']])
<x-plain.shell :p="$p" :back="route('lesson', [$course['key'], $item['key']], false)">
    <div class="_two_learn">
        <x-plain.side :course="$course" :here="$item['key']" />
        <article class="_lesson_learn">
            <h1>{{ $item['title'] }}</h1>
            <x-plain.prose :html="$p['html']" />
            <x-plain.media :media="$p['media']" />
            @if ($p['dates'] !== [])
                <ol class="_dates_learn">@foreach ($p['dates'] as $date)<li><time datetime="{{ $date['instant'] }}">{{ $date['at'] }}</time><span>{{ Say::text($date['opens'] ? 'learn.board.opens' : 'learn.board.closes', ['item' => $date['title']]) }}</span></li>@endforeach</ol>
            @endif
            @if ($p['marks'] !== [])
                <ul>@foreach ($p['marks'] as $mark)<li>{{ $mark['title'] }}: {{ $mark['finished'] ?? Say::text('learn.board.not_yet') }}</li>@endforeach</ul>
            @endif
            @foreach ($p['posts'] as $post)
                <p class="_said_learn"><b>{{ $post['who'] }}</b> <time datetime="{{ $post['instant'] }}">{{ $post['at'] }}</time></p>
                <p class="_saying_learn">{{ $post['text'] }}</p>
            @endforeach
        </article>
    </div>
</x-plain.shell>
