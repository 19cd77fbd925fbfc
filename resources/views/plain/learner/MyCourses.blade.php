@use('App\Words\Say')
<x-plain.shell :p="$p">
    <h1>{{ Say::text('learn.mine.title') }}</h1>
    @if ($p['courses'] === []) <p>{{ Say::text($p['observed'] === null ? 'learn.mine.none' : 'learn.mine.none_with') }}</p> @endif
    <ul class="_mine_learn">
        @foreach ($p['courses'] as $course)
            <li><h2><a href="{{ route('course', $course['key'], false) }}">{{ $course['title'] }}</a></h2><p>{{ $course['detail'] }}</p><p class="_mine-prog_learn">{{ Say::text('learn.finished', ['finished' => $course['finished'], 'lessons' => $course['lessons']]) }}</p></li>
        @endforeach
    </ul>
</x-plain.shell>
